import { doseOf } from '@/core/dose';
import fc from 'fast-check';
import { SKIP_REASONS, SORENESS } from '@/core/adherence';
import type { Course, SessionLog, Stretch } from '@/core/course';
import { addDays } from '@/core/units';
import { FIRST, exerciseOf } from './programme-cases';

/**
 * Courses of one line drawn from few numbers, so that they meet the edges often: doses that grew and were
 * taken back, steps of its stairs, good days and bad ones, and breaks.
 */

/** Doses of which each asks more than the one before, with one that cannot be compared. */
export const DOSES = ['x5', 'x8', 'x10', '10x3s', '2x10', '3x10', 'x10 every other day'].map(
  doseOf,
);
/** Two of one pair of stairs, and one of other stairs. */
export const PLACES = ['tuck-lighten', 'tuck-lift', 'tuck-seated'].map(exerciseOf);

/** Few numbers, so that the cases meet every edge often. */
export const log: fc.Arbitrary<SessionLog> = fc
  .record({
    share: fc.constantFrom(1, 1, 1, 0, 0.5, 1.25, 1.26),
    effort: fc.constantFrom(null, 4, 7, 8),
    pain: fc.constantFrom(null, 0, 1, 2, 3, 5, 6),
    nextMorning: fc.constantFrom(null, 'none' as const, 'none' as const, ...SORENESS),
    skipped: fc.constantFrom(null, null, null, null, ...SKIP_REASONS),
    stopped: fc.constantFrom(...Array<'no'>(9).fill('no'), 'stands' as const, 'let go on' as const),
  })
  .map((one) => ({ id: '', date: FIRST, sets: [10], hold: null, ...one }));
export const good: fc.Arbitrary<SessionLog> = fc.constantFrom(0, 1, 2).map((pain) => ({
  id: '',
  date: FIRST,
  sets: [10],
  hold: null,
  share: 1,
  effort: 4,
  pain,
  nextMorning: 'none' as const,
  skipped: null,
  stopped: 'no' as const,
}));
const logs = (most: number) =>
  fc.array(
    fc.tuple(
      fc.constantFrom(0, 1, 1, 1, 1, 1, 1, 2, 2, 14, 15),
      fc.oneof({ arbitrary: good, weight: 3 }, { arbitrary: log, weight: 1 }),
    ),
    { maxLength: most },
  );

export const course: fc.Arbitrary<Course> = fc
  .array(
    fc.record({
      exercise: fc.constantFrom(...PLACES.slice(0, 1), ...PLACES),
      dose: fc.constantFrom(...DOSES),
      by: fc.constantFrom('a clinician' as const, 'a proposal' as const),
      logs: logs(7),
    }),
    { minLength: 1, maxLength: 4 },
  )
  .map((parts) => {
    let day = 0;
    let count = 0;
    const stretches = parts.map(({ exercise, dose, by, logs: gone }): Stretch => {
      const from = addDays(FIRST, day);
      const sessions = gone.map(([after, one]): SessionLog => {
        day += after;
        count += 1;
        return { ...one, id: `s${count}`, date: addDays(FIRST, day) };
      });
      day += 1;
      return { exercise, dose, school: null, from, by, sessions };
    });
    return [stretches[0] as Stretch, ...stretches.slice(1)];
  });
