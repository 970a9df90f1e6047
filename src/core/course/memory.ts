import type { Dose } from '../dose';
import type { Exercise } from '../exercise';
import { type LocalDate, addDays, daysBetween } from '../units';
import { type Course, presentOf } from './course';
import type { Happening } from './happenings';
import { asksAtLeast } from './measures';
import { worthOf } from './session';

/** A dose that flared twice is a ceiling for so many days, and longer with each time more. Common practice, no source. */
export const CEILING_DAYS = 42;
/** A dose that flared so often is a ceiling. */
export const CEILING_FAILURES = 2;

/** Where a candidate stands in the memory of a course. */
export type Remembered = {
  /** What went wrong at this dose or one that asks no more, since something last changed. */
  readonly failures: readonly Happening[];
  /** When they are forgotten by time alone; null without any. */
  readonly until: LocalDate | null;
  /** The dose before the newest of them was tried: what a smaller step has to go beyond. */
  readonly triedFrom: Dose | null;
};

type Where = Pick<Exercise, 'id' | 'ladder' | 'rung'>;
export type Candidate = { readonly exercise: Where; readonly dose: Dose };

/**
 * So many good days at a dose, later on, make up for what went wrong at it: about a fortnight of it, so
 * that three good days and a flare by turns are still remembered. Ours, no source.
 */
export const MADE_UP_DAYS = 10;

/** True where a dose was borne after all: good days at it, or at more, since then. */
function isMadeUp(course: Course, { stretch, date }: Happening): boolean {
  const days = new Set(
    course
      .filter(
        (later) =>
          later.exercise.id === stretch.exercise.id && asksAtLeast(later.dose, stretch.dose),
      )
      .flatMap((later) =>
        later.sessions
          .filter((log) => log.date > date && worthOf(log, later.dose) === 'good')
          .map((log) => log.date),
      ),
  );
  return days.size >= MADE_UP_DAYS;
}

/**
 * What a course remembers against a dose: whatever went wrong at it, at one that asked no more, or on
 * a step of its stairs between the present one and it. Not held against it is what the line asks now;
 * forgotten is what happened before something changed: a fortnight of good days at that dose, six weeks, a measure that improved, or a clinician
 * who wrote this dose or a larger one in spite of it.
 *
 * @param happenings the course's own (`happeningsIn`)
 * @param improvedOn the day its measured maximum last grew by more than its error; null where not
 */
export function rememberedAt(
  course: Course,
  happenings: readonly Happening[],
  candidate: Candidate,
  today: LocalDate,
  improvedOn: LocalDate | null,
): Remembered {
  if (happenings.length === 0) return { failures: [], until: null, triedFrom: null };
  const present = presentOf(course);
  const { exercise } = candidate;
  // What the line asks now, and bears, is no longer held against it.
  const isBorneNow = (where: Where, dose: Dose) =>
    where.id === present.exercise.id && asksAtLeast(present.dose, dose);
  const reaches = (where: Where, dose: Dose) =>
    where.id === exercise.id
      ? asksAtLeast(candidate.dose, dose) && !isBorneNow(where, dose)
      : where.ladder !== null &&
        where.ladder === exercise.ladder &&
        where.rung < exercise.rung &&
        where.rung > present.exercise.rung;
  const word = course
    .filter(
      ({ by, exercise: written, dose }) =>
        by === 'a clinician' && written.id === exercise.id && asksAtLeast(dose, candidate.dose),
    )
    .map(({ from }) => from)
    .at(-1);
  const all = happenings.filter(
    (one) =>
      (improvedOn === null || one.date > improvedOn) &&
      (word === undefined || one.date >= word) &&
      reaches(one.stretch.exercise, one.stretch.dose) &&
      !isMadeUp(course, one),
  );
  // The oftener it went wrong, the longer it is remembered.
  const dates = new Set(all.map(({ date }) => date));
  const newest = all.at(-1);
  const days = CEILING_DAYS * Math.max(1, dates.size - 1);
  const failures = newest && daysBetween(newest.date, today) < days ? all : [];
  const place = newest ? course.indexOf(newest.stretch) : -1;
  return {
    failures,
    until: newest && failures.length > 0 ? addDays(newest.date, days) : null,
    triedFrom: course[place - 1]?.dose ?? null,
  };
}
