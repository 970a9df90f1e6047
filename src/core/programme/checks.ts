import type { ConfirmedFinding } from '../choose';
import { orderHints, tradeWarnings, uncoveredFindings } from '../choose';
import { propStates } from '../exercise';
import { holdCheck } from '../load';
import {
  type Flag,
  type PrecautionId,
  type Screened,
  PRECAUTIONS,
  TRAITS,
  UNSCREENED,
  standsFor,
} from '../screen';
import { type SetUpOffer, shortSetUp } from '../set-up';
import type { LocalDate, Range, Seconds } from '../units';
import type { PlannedLine } from './planned-line';

export const CHECK_AREAS = ['complete', 'safe', 'feasible', 'covers', 'trade'] as const;
export type CheckArea = (typeof CHECK_AREAS)[number];

/** Something the checks pane says; `stops` keeps the programme from being sent. */
export type Check = {
  readonly area: CheckArea;
  readonly weight: 'stops' | 'look' | 'note';
  readonly say: string;
  /** The line it is about; null for the whole programme. */
  readonly line: string | null;
};

/** A line as the desk knows it: understood or not, with what it lacks. */
export type CheckedLine = {
  readonly id: string;
  readonly name: string;
  /** Null while its dose cannot be read. */
  readonly planned: PlannedLine | null;
  readonly missing: readonly string[];
  readonly assumed: readonly string[];
  /** What the measures offer to its set-up. */
  readonly offers: readonly SetUpOffer[];
  readonly flags: readonly Flag[];
  /** Flags that have no reason to go ahead yet. */
  readonly openFlags: readonly Flag[];
};

export type CheckFacts = {
  readonly lines: readonly CheckedLine[];
  readonly blocked: boolean;
  readonly screened: Screened;
  readonly reviewOn: LocalDate | null;
  readonly precautions: readonly PrecautionId[];
  readonly findings: readonly ConfirmedFinding[];
  readonly props: readonly string[] | null;
  /** What the fullest day asks of the patient's minutes, without resets. */
  readonly day: Range<Seconds> | null;
  readonly minutesADay: number | null;
  /** Sessions that find no room in the patient's day, in words. */
  readonly unplaced: readonly string[];
};

/** Everything that is to be said of a programme at this moment, the gravest of each area first. */
export function programmeChecks(facts: CheckFacts): Check[] {
  const checks = [
    ...complete(facts),
    ...safe(facts),
    ...feasible(facts),
    ...covers(facts),
    ...trade(facts),
  ];
  const order = { stops: 0, look: 1, note: 2 };
  return checks.sort(
    (a, b) =>
      CHECK_AREAS.indexOf(a.area) - CHECK_AREAS.indexOf(b.area) ||
      order[a.weight] - order[b.weight],
  );
}

/** Whether an area has nothing against it but notes. */
export function isFine(checks: readonly Check[], area: CheckArea): boolean {
  return checks.every((check) => check.area !== area || check.weight === 'note');
}

function complete({ lines, reviewOn }: CheckFacts): Check[] {
  const area = 'complete';
  if (lines.length === 0) return [{ area, weight: 'stops', say: 'No exercise yet.', line: null }];
  return lines.flatMap(({ id, name, planned, missing, assumed, offers }): Check[] => {
    if (!planned)
      return [{ area, weight: 'stops', say: `${name}: the dose cannot be read yet.`, line: id }];
    const said = (weight: Check['weight'], words: readonly string[], before: string): Check[] =>
      words.length > 0
        ? [{ area, weight, say: `${name}${before}${words.join('; ')}`, line: id }]
        : [];
    const anew = said(
      'look',
      offers.flatMap(({ setUp, replaces }) =>
        replaces ? [`${shortSetUp(setUp.fact)}, the line says ${shortSetUp(replaces.fact)}`] : [],
      ),
      ', measured anew: ',
    );
    if (missing.length > 0) return [...said('look', missing, ': '), ...anew];
    if (planned.dose.until?.kind === 'review' && reviewOn === null)
      return [...said('look', ['until review, and no day is set for the review.'], ': '), ...anew];
    const fresh = offers.flatMap(({ setUp, replaces }) =>
      replaces ? [] : [shortSetUp(setUp.fact)],
    );
    return [
      ...anew,
      ...said('note', fresh, ', measured and not sent home: '),
      ...said('note', assumed, ', assumed: '),
    ];
  });
}

const planned = ({ lines }: CheckFacts) =>
  lines.flatMap((line) => (line.planned ? [{ id: line.id, ...line.planned }] : []));

function safe(facts: CheckFacts): Check[] {
  const area = 'safe';
  const checks: Check[] = facts.blocked
    ? [
        {
          area,
          weight: 'stops',
          say: 'The screening blocks prescribing: record under Screen what was done and why.',
          line: null,
        },
      ]
    : [];
  const { screened } = facts;
  if (screened === 'on paper')
    checks.push({
      area,
      weight: 'note',
      say: 'Screened on paper, as written under Screen. It holds until the next visit.',
      line: null,
    });
  else if (!standsFor(screened))
    checks.unshift({ area, weight: 'stops', say: UNSCREENED[screened], line: null });
  for (const { id, name, flags, openFlags } of facts.lines) {
    for (const { precaution, trait } of openFlags)
      checks.push({
        area,
        weight: 'stops',
        say: `${name}: ${TRAITS[trait]} (${PRECAUTIONS[precaution].name}) wants a reason.`,
        line: id,
      });
    if (flags.length > 0 && openFlags.length === 0)
      checks.push({
        area,
        weight: 'note',
        say: `${name}: flagged, goes ahead with a reason.`,
        line: id,
      });
  }
  for (const { id, dose, exercise } of planned(facts))
    if (exercise.mode === 'held' && holdCheck(dose)?.verdict === 'beyond')
      checks.push({
        area,
        weight: 'look',
        say: `${exercise.name}: the hold is longer than any model predicts at this effort.`,
        line: id,
      });
  return checks;
}

/** What the trade would do otherwise: advice, and no question of safety. */
function trade(facts: CheckFacts): Check[] {
  return tradeWarnings(planned(facts), facts.precautions).map(({ say, lines }) => ({
    area: 'trade',
    weight: 'look',
    say,
    line: lines[0] ?? null,
  }));
}

function feasible(facts: CheckFacts): Check[] {
  const area = 'feasible';
  const checks: Check[] = [];
  const { day, minutesADay } = facts;
  if (minutesADay === null)
    checks.push({
      area,
      weight: 'note',
      say: 'Nobody has asked how many minutes a day there are.',
      line: null,
    });
  else if (day && day.least > minutesADay * 60)
    checks.push({
      area,
      weight: 'look',
      say: `The fullest day takes ${Math.ceil(day.least / 60)} min or more; the patient has ${minutesADay}.`,
      line: null,
    });
  else if (day && day.most > minutesADay * 60)
    checks.push({
      area,
      weight: 'note',
      say: 'At its most the fullest day is over the minutes there are.',
      line: null,
    });
  for (const say of facts.unplaced) checks.push({ area, weight: 'look', say, line: null });
  for (const { id, exercise } of planned(facts))
    for (const state of propStates(exercise, facts.props)) {
      if (state.kind === 'missing')
        checks.push({
          area,
          weight: 'look',
          say: `${exercise.name}: no ${state.prop} at home.`,
          line: id,
        });
      if (state.kind === 'instead')
        checks.push({
          area,
          weight: 'note',
          say: `${exercise.name}: ${state.use} instead of ${state.prop}, ${state.consequence}.`,
          line: id,
        });
    }
  for (const { exercise, say } of orderHints(planned(facts).map((line) => line.exercise)))
    checks.push({
      area,
      weight: 'note',
      say,
      line: planned(facts).find((line) => line.exercise === exercise)?.id ?? null,
    });
  return checks;
}

function covers(facts: CheckFacts): Check[] {
  const area = 'covers';
  if (facts.findings.length === 0)
    return [
      {
        area,
        weight: 'look',
        say: 'No finding is confirmed yet, so nothing says what this is for.',
        line: null,
      },
    ];
  const exercises = planned(facts).map(({ exercise }) => exercise);
  return uncoveredFindings(facts.findings, exercises).map((finding, index) => ({
    area,
    weight: 'look' as const,
    say: `${index === 0 && finding === facts.findings[0] ? 'Nothing for the main finding: ' : 'Nothing yet for: '}${finding.say}`,
    line: null,
  }));
}
