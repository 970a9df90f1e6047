import type { Dose } from '../dose';
import type { Exercise, SchoolId } from '../exercise';
import { type LocalDate, textOrder } from '../units';
import type { SessionLog } from './session';

/** Who wrote a dose: a clinician's own word, or a proposal that was accepted as it stood. */
export type WrittenBy = 'a clinician' | 'a proposal';

/** One dose of one exercise, as long as it stood, with what was done under it. */
export type Stretch = {
  readonly exercise: Pick<Exercise, 'id' | 'name' | 'ladder' | 'rung'>;
  readonly dose: Dose;
  readonly school: SchoolId | null;
  /** The first day it was due. */
  readonly from: LocalDate;
  readonly by: WrittenBy;
  /** Oldest first. */
  readonly sessions: readonly SessionLog[];
};

/**
 * The course of an exercise in this episode of care: every dose it ever had, through versions, steps
 * of its stairs and pauses, oldest first. The last stretch is how it stands now.
 */
export type Course = readonly [Stretch, ...Stretch[]];

/** How the line stands now. */
export function presentOf(course: Course): Stretch {
  return course[course.length - 1] ?? course[0];
}

/** A session with the stretch it was done in. */
export type Lived = { readonly stretch: Stretch; readonly log: SessionLog };

/** By date and id, so that nothing ever hangs on the order of arrival. */
export function inOrder(a: SessionLog, b: SessionLog): number {
  return textOrder(a.date, b.date) || textOrder(a.id, b.id);
}

/** A course is immutable and gone through often: its order is found once. */
const ordered = new WeakMap<Course, readonly Lived[]>();

/** Every session of a course in order. */
export function livedIn(course: Course): readonly Lived[] {
  const known = ordered.get(course);
  if (known) return known;
  const lived: Lived[] = [];
  for (const stretch of course) for (const log of stretch.sessions) lived.push({ stretch, log });
  lived.sort((a, b) => inOrder(a.log, b.log));
  ordered.set(course, lived);
  return lived;
}

/** The first day on which the present exercise stood, through all the doses it has had since. */
export function onExerciseSince(course: Course): LocalDate {
  const { exercise, from } = presentOf(course);
  let since = from;
  for (const stretch of [...course].reverse()) {
    if (stretch.exercise.id !== exercise.id) break;
    since = stretch.from;
  }
  return since;
}

/** A course that goes on with another dose, or another exercise. */
export function goOn(course: Course, next: Omit<Stretch, 'sessions'>): Course {
  return [...course, { ...next, sessions: [] }];
}

/** A course with sessions added to how it stands now. */
export function withSessions(course: Course, logs: readonly SessionLog[]): Course {
  const present = presentOf(course);
  const now = { ...present, sessions: [...present.sessions, ...logs] };
  return course.length === 1 ? [now] : [course[0], ...course.slice(1, -1), now];
}
