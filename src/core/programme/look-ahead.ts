import { type SessionLog, presentOf } from '../course';
import { type Dose, formatDose, holdOf, repsOfSet, setsOf } from '../dose';
import type { Exercise } from '../exercise';
import type { BandCurve } from '../load';
import { GOOD_SESSIONS, LEAST_RUNG_DAYS, NOTHING_DECIDED, liveCourse } from '../progression';
import { type WakingHours, isDueOn, timesPerDay } from '../schedule';
import type { PrecautionId } from '../screen';
import { sessionTimeline, workOf } from '../timeline';
import { type LocalDate, type Range, type Seconds, addDays, sumRanges } from '../units';
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

/** The step above in the same stairs; null on the last. */
export type NextRung = (exercise: Exercise) => Exercise | null;

/** What the rules of growth go by beside the line itself. */
export type AheadRules = {
  readonly nextRung: NextRung;
  readonly waking: WakingHours;
  /** Good days in a row before anything grows; three unless the clinic says otherwise. */
  readonly goodSessions?: number;
  /** Least days on a step of the stairs; a week unless the clinic says otherwise. */
  readonly leastRungDays?: number;
  readonly precautions?: readonly PrecautionId[];
  /** Weights at home; empty where any can be set. */
  readonly owned?: readonly number[];
  readonly ownedUnit?: 'kg' | 'lb' | undefined;
  readonly bands?: readonly BandCurve[];
};

/**
 * One line after so many days, if every due session is good, told to be, and every step is taken at
 * once: by the very function that proposes steps from real sessions (`liveCourse`), so that it promises
 * no other pace. It counts from the day this version begins, or from the line's own first day where
 * that comes later. A line without a school stays as it is. Nothing here changes a programme.
 */
export function lineAhead(
  line: PlannedLine,
  from: LocalDate,
  days: number,
  rules: AheadRules,
): LineAhead {
  const { nextRung, waking, goodSessions = GOOD_SESSIONS, precautions = [], owned = [] } = rules;
  const { exercise, dose, school } = line;
  if (school === null) return { line, exercise, dose, steps: [] };
  const lived = liveCourse(
    {
      exercise,
      from,
      course: [{ exercise, dose, school: school.id, from, by: 'a clinician', sessions: [] }],
    },
    {
      school,
      goodSessions,
      leastRungDays: rules.leastRungDays ?? LEAST_RUNG_DAYS,
      precautions,
      rungs: { above: nextRung, below: () => null },
      owned,
      ownedUnit: rules.ownedUnit,
      bands: rules.bands ?? [],
      faults: 0,
      // Movements that are repeated go on only where symptoms draw in.
      limb: school.id === 'repeated' ? 'drawing in' : null,
      limbSince: null,
      improvedOn: null,
      decided: NOTHING_DECIDED,
    },
    days,
    ({ date, dose: now }) =>
      isDueOn({ ...line, dose: now }, date)
        ? Array.from({ length: timesPerDay(now.times, waking).least }, (_, time) =>
            goodLog(now, date, time),
          )
        : [],
  );
  const present = presentOf(lived.course);
  return {
    line,
    exercise: lived.exercise,
    dose: present.dose,
    steps: lived.taken.map(
      ({ step }) =>
        `${step.exercise?.name ?? formatDose(shownOf(step.dose ?? present.dose))}: ${step.why}`,
    ),
  };
}

/** What a step changes of a dose, as it is shown. */
const shownOf = ({ head, hold, load, times }: Dose): Dose => ({
  head,
  ...(hold && { hold }),
  ...(load && { load }),
  ...(times && { times }),
});

/** A session as good as it can be: all of it, nothing felt, no trouble by the next morning. */
function goodLog(dose: Dose, date: LocalDate, time: number): SessionLog {
  const sets = Array.from({ length: setsOf(dose.head).most }, (_, set) =>
    repsOfSet(dose.head, set),
  );
  return {
    id: `${date} ${time}`,
    date,
    share: 1,
    sets: sets.map(({ most }) => most),
    hold: holdOf(dose)?.most ?? null,
    effort: null,
    pain: 0,
    nextMorning: 'none',
    skipped: null,
    stopped: 'no',
  };
}

/**
 * What the programme takes in some weeks, assuming that every step succeeds.
 *
 * @param weeks 1 is the programme's first week
 */
export function lookAhead(
  lines: readonly PlannedLine[],
  frame: ProgrammeFrame,
  weeks: readonly number[],
  rules: AheadRules,
): WeekAhead[] {
  return weeks.map((week) => {
    const first = addDays(frame.from, (week - 1) * 7);
    const then = lines.map((line) => lineAhead(line, frame.from, week * 7, rules));
    const planned = then.map(({ line, exercise, dose }) =>
      plannedLine(line.lineage, exercise, dose, line.anchor, line.school, line.session ?? null),
    );
    // The review is when success is judged: what lasts until it goes on in this outlook.
    const timer = dayTimer({ ...frame, review: null }, rules.waking);
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
