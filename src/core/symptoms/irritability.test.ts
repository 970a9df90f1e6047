import { PROVOKED_BY, SETTLES_WITHIN, irritability } from '.';

/** Every edge of the three answers (common practice, no source). */
const [hard, ordinary, nothing] = PROVOKED_BY;
const [minutes, hours, days] = SETTLES_WITHIN;

it.each([
  [hard, 3, minutes, 0, 'low'],
  [hard, 4, minutes, 1, 'low'],
  [hard, 6, minutes, 1, 'low'],
  [hard, 7, minutes, 2, 'moderate'],
  [ordinary, 3, minutes, 1, 'low'],
  [ordinary, 3, hours, 2, 'moderate'],
  [ordinary, 6, hours, 3, 'moderate'],
  [ordinary, 7, hours, 4, 'high'],
  [nothing, 0, days, 4, 'high'],
  [nothing, 10, days, 6, 'high'],
] as const)(
  '%s, up to %s, settles within %s: %s points, %s',
  (provokedBy, worst, settles, points, level) => {
    expect(irritability({ provokedBy, worst, settlesWithin: settles })).toMatchObject({
      points,
      level,
    });
  },
);
