import { type Dose, formatDose } from '../dose';
import type { Exercise } from '../exercise';
import { SCHOOLS, doseOf } from '../progression';
import type { WakingHours } from '../schedule';
import {
  type LocalDate,
  type Range,
  type Seconds,
  addDays,
  daysBetween,
  sumRanges,
} from '../units';
import { sessionTimeline, workOf } from '../timeline';
import { dayTimer } from './day-time';
import { type PlannedLine, type ProgrammeFrame, plannedLine } from './planned-line';

export type LineAhead = {
  readonly line: PlannedLine;
  /** Where the line stands then: another dose, perhaps another exercise. */
  readonly exercise: Exercise;
  readonly dose: Dose;
  /** What happened on the way, in order. */
  readonly steps: readonly string[];
};

export type WeekAhead = {
  readonly week: number;
  readonly lines: readonly LineAhead[];
  /** The fullest day of that week. */
  readonly secondsADay: Range<Seconds>;
  readonly heldSecondsAWeek: Range<Seconds>;
  readonly repsAWeek: Range;
};

/** The step above in the same family; null on the last. */
export type NextRung = (exercise: Exercise) => Exercise | null;

/**
 * One line after so many days of unbroken success by its school's rule, counted from the day this
 * version begins, or from the line's own first day where that comes later. A line without a school
 * stays as it is. Nothing here changes a programme: it shows what was promised before it is sent.
 */
export function lineAhead(
  line: PlannedLine,
  from: LocalDate,
  days: number,
  nextRung: NextRung,
  owned: readonly number[] = [],
): LineAhead {
  const dayOfFrom = daysBetween(line.anchor, from) + 1;
  const firstDay = Math.max(dayOfFrom, line.dose.fromDay ?? 1);
  const begun = days - (firstDay - dayOfFrom);
  let { exercise, dose } = line;
  const steps: string[] = [];
  if (line.school === null || begun <= 0) return { line, exercise, dose, steps };
  const { id, settings } = line.school;
  const school = SCHOOLS[id];
  const until = line.dose.until?.kind === 'day' ? line.dose.until.day : Infinity;
  const successes = Math.floor(
    Math.max(0, Math.min(begun - 1, until - firstDay)) / school.stepDays,
  );
  for (let success = 0; success < successes; success += 1) {
    const growth = school.grow(dose, settings, owned);
    if (growth.kind === 'stays') break;
    if (growth.kind === 'dose') {
      dose = growth.dose;
      steps.push(
        `${formatDose({ head: dose.head, ...(dose.hold && { hold: dose.hold }), ...(dose.load && { load: dose.load }) })}: ${growth.why}`,
      );
      continue;
    }
    const above = nextRung(exercise);
    if (above === null) break;
    exercise = above;
    dose = onNextRung(dose, above, line);
    steps.push(`${above.name}: ${growth.why}`);
  }
  return { line, exercise, dose, steps };
}

/** The next exercise's own dose under the same school, on the same days until the same end. */
function onNextRung(dose: Dose, above: Exercise, line: PlannedLine): Dose {
  const own = line.school ? above.doses[line.school.id] : undefined;
  const fresh = doseOf(own ?? above.usualDose);
  return {
    ...fresh,
    ...(dose.fromDay !== undefined && { fromDay: dose.fromDay }),
    ...(dose.until !== undefined && { until: dose.until }),
  };
}

/**
 * What the programme takes in some weeks, assuming that every step succeeds.
 *
 * @param weeks 1 is the programme's first week
 * @param owned weights at home; empty where any weight can be set
 */
export function lookAhead(
  lines: readonly PlannedLine[],
  frame: ProgrammeFrame,
  waking: WakingHours,
  weeks: readonly number[],
  nextRung: NextRung,
  owned: readonly number[] = [],
): WeekAhead[] {
  return weeks.map((week) => {
    const first = addDays(frame.from, (week - 1) * 7);
    const then = lines.map((line) => lineAhead(line, frame.from, week * 7, nextRung, owned));
    const planned = then.map(({ line, exercise, dose }) =>
      plannedLine(line.lineage, exercise, dose, line.anchor, line.school, line.session ?? null),
    );
    // The review is when success is judged: what lasts until it goes on in this outlook.
    const timer = dayTimer({ ...frame, review: null }, waking);
    const days = Array.from({ length: 7 }, (_, day) => timer(planned, addDays(first, day)));
    const fullest = days.reduce((a, b) => (b.total.most > a.total.most ? b : a));
    const due = new Map<string, number>();
    for (const day of days)
      for (const session of day.sessions)
        for (const { lineage } of session.lines) due.set(lineage, (due.get(lineage) ?? 0) + 1);
    const measures = planned.map((line) => ({
      times: (due.get(line.lineage) ?? 0) * frame.rounds,
      measure: measureOnce(line),
    }));
    const sum = (of: (one: (typeof measures)[number]) => Range) => sumRanges(measures.map(of));
    return {
      week,
      lines: then,
      secondsADay: fullest.total,
      heldSecondsAWeek: sum(({ times, measure }) => scaled(measure.held, times)) as Range<Seconds>,
      repsAWeek: sum(({ times, measure }) => scaled(measure.reps, times)),
    };
  });
}

const scaled = ({ least, most }: Range, times: number): Range => ({
  least: least * times,
  most: most * times,
});

/** What a line asks when it is done once. */
function measureOnce(line: PlannedLine): { held: Range<Seconds>; reps: Range } {
  const { least, most } = workOf(sessionTimeline([line]));
  return {
    held: { least: least.heldSeconds, most: most.heldSeconds },
    reps: { least: least.reps, most: most.reps },
  };
}
