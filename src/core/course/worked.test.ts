import { dose } from '../../../tests/support/dose-lines';
import { asLine, digest, drawnCases } from '../../../tests/support/worked';
import { formatDose, doseOf } from '../dose';
import {
  MEASURES,
  asksAtLeast,
  asksTheSame,
  compared,
  isWithin,
  moreIn,
  timesOf,
  daysOf,
} from './measures';

/** Every kind of time, day, load and band beside one another. */
const LINES = [
  'x10',
  'x10 2/day',
  'x10 1-3/day',
  'x10 every 2h',
  'x10 every 90min',
  'x10 as needed',
  'x10 on waking',
  'x10 every other day',
  'x10 every 3 days',
  'x10 mon,thu',
  '3x10 2kg',
  '3x10 5lb',
  '3x10 50% 10rm',
  '3x10 band light',
  '3x10 band light stretch 1%',
  '3x10 band "ours"',
  '3x10 band "ours" stretch 1%',
  '3x10 band firm',
  '3x10 band "ours" stretch 50%',
  '3x10 band "ours" stretch 100%',
  '3x10 band "other" stretch 100%',
  '10x10s',
  'x10 hold 10s',
  '3x30s',
];
const cases = [...LINES.map(doseOf), ...drawnCases(dose, 60, 51)];

it('what doses ask, measure by measure, and how any two compare', () => {
  expect(
    cases.map((one) =>
      asLine(
        formatDose(one),
        timesOf(one),
        daysOf(one),
        digest(cases.map((other) => MEASURES.map((measure) => compared(one, other, measure)))),
        cases
          .slice(0, LINES.length)
          .map((other) => `${moreIn(one, other).length}${moreIn(other, one).length}`)
          .join(' '),
        digest(
          cases.map((other) => [
            asksAtLeast(one, other),
            isWithin(one, other),
            asksTheSame(one, other),
          ]),
        ),
      ),
    ),
  ).toMatchSnapshot();
});
