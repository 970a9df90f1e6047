import { type Dose, type DoseChange, type DosePart, doseDifference } from '../dose';
import type { Exercise } from '../exercise';
import { restAsGap } from './rest-as-gap';
import { SCHOOLS, doseOf, startDose } from './schools';
import type { SchoolChoice } from './settings';

/** What a school does not decide: it stays as the clinician wrote it. */
const KEPT: readonly DosePart[] = ['side', 'directions', 'tuck', 'until', 'fromDay', 'breath'];

export type AppliedSchool = {
  readonly dose: Dose;
  /** What the school changed in this line. */
  readonly changes: readonly DoseChange[];
  /** What follows, to be written into the version as lines of their own. */
  readonly later: readonly { readonly dose: Dose; readonly why: string }[];
};

/**
 * Rewrites a dose to a school's, keeping side, directions, tuck and dates as written; says what
 * changed. A school with phases ends this line the day before the next one begins.
 *
 * @example applySchool(parse('10x10s left'), curlUp, { id: 'descending-sets', … }).dose
 *   // 6-4-2 hold 10s rest 20-30s left daily
 */
export function applySchool(dose: Dose, exercise: Exercise, choice: SchoolChoice): AppliedSchool {
  const school = SCHOOLS[choice.id];
  const first = kept(dose, startDose(choice.id, exercise, choice.settings));
  const [next] = school.phases;
  const rewritten: Dose = next
    ? { ...first, until: { kind: 'day', day: next.fromDay - 1 } }
    : first;
  const later = school.phases.map((phase, index) => {
    const following = school.phases[index + 1];
    const until: Dose['until'] = following
      ? { kind: 'day', day: following.fromDay - 1 }
      : (dose.until ?? { kind: 'review' });
    const like = { ...kept(dose, doseOf(phase.dose)), fromDay: phase.fromDay, until };
    return { dose: resisted(like, first), why: phase.why };
  });
  return { dose: rewritten, changes: doseDifference(dose, rewritten), later };
}

/** A later phase pulls on the same band or lifts the same load until somebody writes another. */
function resisted(phase: Dose, first: Dose): Dose {
  const { band, effort } = first;
  return { ...phase, ...(band ? { band } : {}), ...(effort ? { effort } : {}) };
}

function kept(before: Dose, after: Dose): Dose {
  let dose = after;
  for (const part of KEPT) {
    if (before[part] !== undefined) dose = { ...dose, [part]: before[part] };
  }
  // A school that says nothing of effort leaves what was written.
  if (dose.effort === undefined && dose.load === undefined && dose.band === undefined) {
    const { effort, band } = before;
    dose = { ...dose, ...(effort && { effort }), ...(band && { band }) };
  }
  if (dose.stations && dose.directions) {
    const undirected = { ...dose };
    delete (undirected as { directions?: unknown }).directions;
    dose = undirected;
  }
  return restAsGap(dose);
}
