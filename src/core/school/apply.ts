import {
  type Dose,
  type DoseChange,
  type DosePart,
  doseDifference,
  doseOf,
  restAsGap,
  setsOf,
} from '../dose';
import type { Exercise } from '../exercise';
import { beyondBounds } from './school';
import { SCHOOLS } from './schools';
import { startDose } from './start';
import type { SchoolChoice } from './settings';

/** What a school does not decide: it stays as the clinician wrote it. */
const KEPT: readonly DosePart[] = [
  'side',
  'directions',
  'tuck',
  'times',
  'until',
  'fromDay',
  'breath',
];

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

export type AttachedSchool =
  /** The dose stays as it is, and the school's rule goes on from it. */
  | { readonly kind: 'kept' }
  /** The school cannot read the dose: what it would become, to be shown before it is taken. */
  | { readonly kind: 'asks'; readonly applied: AppliedSchool };

/**
 * Puts a line under a school's rule. What the clinician wrote stays; only a dose the school cannot go
 * on from is asked about.
 *
 * @example attachSchool(parse('10x5s left 30%'), hold, { id: 'lengthen', … }) // { kind: 'kept' }
 * @example attachSchool(parse('3x10 left'), stretch, { id: 'barriers', … }) // asks: 30s at 3 barriers left
 */
export function attachSchool(dose: Dose, exercise: Exercise, choice: SchoolChoice): AttachedSchool {
  const school = SCHOOLS[choice.id];
  return school.reads(dose) && beyondBounds(school, dose) === null
    ? { kind: 'kept' }
    : { kind: 'asks', applied: applySchool(dose, exercise, choice) };
}

/** A later phase pulls on the same band or lifts the same load until somebody writes another. */
function resisted(phase: Dose, first: Dose): Dose {
  const { band, effort, load } = first;
  const one = load?.perSet.length === 1 ? load : null;
  return {
    ...phase,
    ...(band ? { band } : {}),
    ...(effort ? { effort } : {}),
    ...(one && !phase.load ? { load: one } : {}),
  };
}

/** The same dose as hard as another one: its load, band or effort, where it has one. */
function withEffortOf({ load, band, effort }: Dose, dose: Dose): Dose {
  if (load === undefined && band === undefined && effort === undefined) return dose;
  const bare = { ...dose };
  for (const part of ['load', 'band', 'effort'] as const)
    delete (bare as { -readonly [P in DosePart]?: Dose[P] })[part];
  // Loads of other sets than these fit no longer; the first is where they begin.
  const fitting =
    load && load.perSet.length > 1 && load.perSet.length !== setsOf(dose.head).most
      ? ({ ...load, perSet: load.perSet.slice(0, 1) } as Dose['load'])
      : load;
  return {
    ...bare,
    ...(fitting && { load: fitting }),
    ...(band && { band }),
    ...(effort && { effort }),
  };
}

function kept(before: Dose, after: Dose): Dose {
  let dose = after;
  for (const part of KEPT) {
    if (before[part] !== undefined) dose = { ...dose, [part]: before[part] };
  }
  // How hard is the clinician's, unless the school itself is a scheme of loads.
  if ((dose.load?.perSet.length ?? 1) === 1) dose = withEffortOf(before, dose);
  if (dose.stations && dose.directions) {
    const undirected = { ...dose };
    delete (undirected as { directions?: unknown }).directions;
    dose = undirected;
  }
  return restAsGap(dose);
}
