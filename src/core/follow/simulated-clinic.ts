import { type LocalDate, addDays } from '../units';
import { type Course, type CourseVerdict, PAIN_MATTERS, judgeCourse } from './course';
import type { Reading } from './reading';

/** Chance from outside, seeded there: uniform 0–1, and standard normal. */
export type Chance = { readonly fraction: () => number; readonly normal: () => number };

/** What really happens to a simulated patient's pain, in points of 10 from first to last day. */
export const TRUE_COURSES = {
  unchanged: { change: 0, right: 'no clear change' },
  'a little better': { change: -1, right: 'no clear change' },
  'clearly better': { change: -3, right: 'improving beyond noise' },
  'clearly worse': { change: 3, right: 'worsening beyond noise' },
} as const satisfies Record<string, { change: number; right: Course }>;
export type TrueCourse = keyof typeof TRUE_COURSES;

export type SimulatedPatient = {
  readonly course: TrueCourse;
  /** Pain at the first day before any noise. */
  readonly start: number;
  /** How much of a day's deviation is still there the next day, 0–1. */
  readonly memory: number;
  /** Standard deviation of the deviations, points. */
  readonly spread: number;
  /** Share of days that are told. */
  readonly tells: number;
};

/**
 * Daily worst pain of one simulated patient: a straight true course, deviations that last from day
 * to day (first-order autoregressive), rounded and cut to 0–10 as a person tells it, days left out.
 */
export function simulatePain(
  patient: SimulatedPatient,
  first: LocalDate,
  days: number,
  chance: Chance,
): Reading[] {
  const { start, memory, spread, tells } = patient;
  const { change } = TRUE_COURSES[patient.course];
  let deviation = spread * chance.normal();
  return Array.from({ length: days }, (_, day) => day).flatMap((day) => {
    if (day > 0)
      deviation = memory * deviation + spread * Math.sqrt(1 - memory * memory) * chance.normal();
    const truth = start + (change * day) / (days - 1);
    const value = Math.min(10, Math.max(0, Math.round(truth + deviation)));
    return chance.fraction() < tells ? [{ date: addDays(first, day), value }] : [];
  });
}

/** A clinic whose patients' true courses are known: a quarter each. */
export function simulatedClinic(count: number, chance: Chance): SimulatedPatient[] {
  const courses = Object.keys(TRUE_COURSES) as TrueCourse[];
  return Array.from({ length: count }, (_, index) => {
    const course = courses[index % courses.length] as TrueCourse;
    return {
      course,
      // Room to go either way, so that the scale's ends do not hide the change.
      start: course === 'clearly worse' ? 3 + 2 * chance.fraction() : 5 + 2 * chance.fraction(),
      memory: 0.2 + 0.5 * chance.fraction(),
      spread: 0.6 + 0.9 * chance.fraction(),
      tells: 0.5 + 0.5 * chance.fraction(),
    };
  });
}

/** How often each verdict was given for each true course. */
export type VerdictRates = Readonly<Record<TrueCourse, Readonly<Record<Course, number>>>>;

/** Judges every patient of the clinic once, after so many days. */
export function verdictRates(
  patients: readonly SimulatedPatient[],
  first: LocalDate,
  days: number,
  chance: Chance,
  judge: (readings: readonly Reading[]) => CourseVerdict = (readings) =>
    judgeCourse(readings, PAIN_MATTERS),
): VerdictRates {
  const none = (): Record<Course, number> => ({
    'improving beyond noise': 0,
    'no clear change': 0,
    'worsening beyond noise': 0,
    'not enough to say': 0,
  });
  const rates: Record<TrueCourse, Record<Course, number>> = {
    unchanged: none(),
    'a little better': none(),
    'clearly better': none(),
    'clearly worse': none(),
  };
  for (const patient of patients)
    rates[patient.course][judge(simulatePain(patient, first, days, chance)).course] += 1;
  return rates;
}
