import { asLine, rounded } from '../../../tests/support/worked';
import { type At, lookByLook, stepAt } from '.';

/** What is said of made-up courses, and how sure, to a thousandth. */
const BODIES: Readonly<Record<string, (day: number) => number>> = {
  level: () => 5,
  'a line down': (day) => 8 - day / 7,
  'a line up': (day) => 2 + day / 9,
  'levelling off': (day) => 3 + 4 * Math.exp(-day / 6),
  'a step down': (day) => (day < 21 ? 6 : 4.4),
  'a small step up': (day) => (day < 21 ? 4 : 4.7),
  'a step on a line': (day) => 7 - day / 20 - (day < 21 ? 0 : 1),
};
const CHOSEN: Readonly<Record<string, (day: number) => boolean>> = {
  'every day': () => true,
  'every third': (day) => day % 3 === 0,
  'the first week and the last': (day) => day < 7 || day > 34,
};

const told = (body: (day: number) => number, days: (day: number) => boolean): At[] =>
  Array.from({ length: 42 }, (_, day) => day)
    .filter(days)
    .map((day) => ({ day, value: body(day) + ((day * 7) % 5) / 4 - 0.5 }));

it('steps at a seam, and what was seen look by look', () => {
  expect(
    Object.entries(BODIES).flatMap(([body, at]) =>
      Object.entries(CHOSEN).map(([days, isTold]) => {
        const given = told(at, isTold);
        const { say, found } = stepAt(given, 21, 2);
        const { weights, middles, scales } = found;
        const middle = middles.reduce((sum, one, i) => sum + one * (weights[i] ?? 0), 0);
        const scale = scales.reduce((sum, one, i) => sum + one * (weights[i] ?? 0), 0);
        const looks = lookByLook(given, 2, 41).join(', ');
        return asLine(body, days, say, rounded(middle), rounded(scale), looks);
      }),
    ),
  ).toMatchSnapshot();
});

it('a seam with next to nothing before or after it', () => {
  const few = (days: readonly number[]) =>
    stepAt(
      days.map((day) => ({ day, value: day < 2 ? 6 : 3 })),
      2,
      2,
    );
  expect([[0], [0, 1], [0, 2], [0, 1, 2, 3]].map((days) => few(days).say)).toMatchInlineSnapshot(`
[
  "no clear difference",
  "no clear difference",
  "no clear difference",
  "no clear difference",
]
`);
});
