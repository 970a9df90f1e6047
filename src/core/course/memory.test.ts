import { doseOf } from '../dose';
import { FIRST, exercise, good } from '../../../tests/support/step-cases';
import { addDays } from '../units';
import { CEILING_DAYS, MADE_UP_DAYS, rememberedAt } from './memory';
import { type SessionLog, type Stretch, happeningsIn } from '.';

const TUCK = exercise('tuck-lighten');
const on = (days: readonly number[], change: Partial<SessionLog> = {}): SessionLog[] =>
  days.map((day) => ({ id: `s${day}`, date: addDays(FIRST, day), ...good, ...change }));
const daysFrom = (first: number, count: number) =>
  Array.from({ length: count }, (_, nth) => first + nth);
const stretch = (
  dose: string,
  from: number,
  sessions: readonly SessionLog[],
  id = TUCK.id,
): Stretch => ({
  exercise: exercise(id),
  dose: doseOf(dose),
  school: 'lengthen',
  from: addDays(FIRST, from),
  by: 'a proposal',
  sessions,
});

/** What is remembered against ten-second holds: they flared on the third day, then these days at a dose. */
function after(dose: string, days: number, change: Partial<SessionLog> = {}, id = TUCK.id) {
  const course = [
    stretch('x10 hold 10s gap 3s daily', 0, on([2], { pain: 6 })),
    stretch(dose, 3, on(daysFrom(3, days), change), id),
    stretch('x10 hold 5s gap 3s daily', 20, on([20])),
  ] as const;
  const candidate = { exercise: TUCK, dose: doseOf('x10 hold 10s gap 3s daily') };
  return rememberedAt(course, happeningsIn(course), candidate, addDays(FIRST, 21), null).failures;
}

it('remembers what went wrong until ten good days at that dose, or at more, made up for it', () => {
  expect(MADE_UP_DAYS).toBe(10);
  expect(after('x10 hold 10s gap 3s daily', 9)).toHaveLength(1);
  expect(after('x10 hold 10s gap 3s daily', 10)).toHaveLength(0);
  expect(after('x10 hold 15s gap 3s daily', 10)).toHaveLength(0);
});

it('is not made up for by less, by another exercise, or by days that were not good', () => {
  expect(after('x10 hold 5s gap 3s daily', 12)).toHaveLength(1);
  expect(after('x10 hold 10s gap 3s daily', 12, {}, 'tuck-lying')).toHaveLength(1);
  expect(after('x10 hold 10s gap 3s daily', 12, { pain: null, effort: null })).toHaveLength(1);
});

it('forgets by time alone after six weeks, and as long again for each day more', () => {
  const asked = (failed: readonly number[], today: number) => {
    const course = [
      stretch('x10 hold 10s gap 3s daily', 0, on(failed, { pain: 6 })),
      stretch('x10 hold 5s gap 3s daily', 20, on([20])),
    ] as const;
    const candidate = { exercise: TUCK, dose: doseOf('x10 hold 10s gap 3s daily') };
    return rememberedAt(course, happeningsIn(course), candidate, addDays(FIRST, today), null);
  };
  expect(CEILING_DAYS).toBe(42);
  expect(asked([2], 43).failures).toHaveLength(1);
  expect(asked([2], 43).until).toBe(addDays(FIRST, 44));
  expect(asked([2], 44)).toMatchObject({ failures: [], until: null });
  expect(asked([2, 5, 9], 9 + 83).until).toBe(addDays(FIRST, 9 + 84));
  expect(asked([2, 5, 9], 9 + 84)).toMatchObject({ failures: [], until: null });
});
