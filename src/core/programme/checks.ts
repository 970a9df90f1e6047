import type { AskingFinding } from '../choose';
import { orderHints, tradeWarnings, uncoveredFindings } from '../choose';
import { propStates } from '../exercise';
import { holdCheck } from '../load';
import type { PrecautionId, Screened } from '../screen';
import type { LocalDate, Range, Seconds } from '../units';
import { CHECK_AREAS, type Check, type CheckArea, type CheckedLine } from './check';
import { completeness } from './complete';
import { safetyStops } from './safety';

export type CheckFacts = {
  readonly lines: readonly CheckedLine[];
  readonly blocked: boolean;
  readonly screened: Screened;
  readonly reviewOn: LocalDate | null;
  readonly precautions: readonly PrecautionId[];
  readonly findings: readonly AskingFinding[];
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
    ...completeness(facts),
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

const planned = ({ lines }: CheckFacts) =>
  lines.flatMap((line) => (line.planned ? [{ id: line.id, ...line.planned }] : []));

/** What stops it, then what is only to be known or looked at. */
function safe(facts: CheckFacts): Check[] {
  const area = 'safe';
  const checks: Check[] =
    facts.screened === 'on paper'
      ? [
          {
            area,
            weight: 'note',
            say: 'Screened on paper, as written under Screen. It holds until the next visit.',
            line: null,
          },
        ]
      : [];
  for (const { id, name, flags, openFlags } of facts.lines)
    if (flags.length > 0 && openFlags.length === 0)
      checks.push({
        area,
        weight: 'note',
        say: `${name}: flagged, goes ahead with a reason.`,
        line: id,
      });
  for (const { id, dose, exercise } of planned(facts))
    if (exercise.mode === 'held' && holdCheck(dose)?.verdict === 'beyond')
      checks.push({
        area,
        weight: 'look',
        say: `${exercise.name}: the hold is longer than any model predicts at this effort.`,
        line: id,
      });
  return [...safetyStops(facts), ...checks];
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
