import { type Course, type SessionLog, goOn, presentOf, withSessions } from '../course';
import { type Dose } from '../dose';
import type { Exercise } from '../exercise';
import { type LocalDate, addDays } from '../units';
import { type Step, type StepFacts } from './facts';
import { isDanger } from './move';
import { nextStep } from './next-step';

/** What stays the same while a course is lived: everything but the course, the exercise and the day. */
export type LivedRules = Omit<StepFacts, 'course' | 'exercise' | 'today'>;

/** A step as it was taken, with its day. */
export type TakenStep = { readonly date: LocalDate; readonly step: Step };

/** What is stopped is taken to have been looked at after so many days, and let go on. Ours. */
const LOOKED_AT_DAYS = 7;

/** How a line stands on a day. */
export type LivedDay = {
  readonly date: LocalDate;
  readonly exercise: Exercise;
  readonly dose: Dose;
  readonly course: Course;
};

export type LivedCourse = {
  readonly course: Course;
  readonly exercise: Exercise;
  readonly taken: readonly TakenStep[];
  /** The step of the last morning, taken or not: why it stands where it stands. */
  readonly last: Step;
};

/**
 * Lives a line forward day by day, every proposal taken on the morning it comes: the very function that
 * proposes from real sessions, so that the look-ahead and the rehearsal promise no other pace. What the
 * clinician has to choose, or ask about, is left open; what is stopped is left out for a week.
 *
 * @param sessionsOn the sessions of a day, each with what the next morning told; none where none was due
 */
export function liveCourse(
  start: { readonly exercise: Exercise; readonly course: Course; readonly from: LocalDate },
  rules: LivedRules,
  days: number,
  sessionsOn: (day: LivedDay) => readonly SessionLog[],
): LivedCourse {
  let { exercise, course } = start;
  const taken: TakenStep[] = [];
  const events = new Set(rules.decided.events);
  let last: Step | null = null;
  let leftOutUntil = start.from;
  for (let day = 0; day <= days; day += 1) {
    const date = addDays(start.from, day);
    const decided = { ...rules.decided, events };
    last = nextStep({ ...rules, decided, exercise, course, today: date });
    if (isDanger(last) || last.move === 'ask') events.add(last.event);
    if (isDanger(last) && last.dose === null) taken.push({ date, step: last });
    if (last.move === 'stop') leftOutUntil = addDays(date, LOOKED_AT_DAYS);
    if (last.dose !== null && last.move !== 'stay') {
      taken.push({ date, step: last });
      exercise = last.exercise ?? exercise;
      course = goOn(course, {
        exercise,
        dose: last.dose,
        school: rules.school?.id ?? null,
        from: date,
        by: 'a proposal',
      });
    }
    // The last morning is looked at, not lived.
    if (day === days || date < leftOutUntil) continue;
    const logs = sessionsOn({ date, exercise, dose: presentOf(course).dose, course });
    if (logs.length > 0) course = withSessions(course, logs);
  }
  return { course, exercise, taken, last: last as Step };
}
