import { seconds } from './seconds';
import { formatRange, percent, percentText, toHundredth, toTenth, wholeMinutes } from '.';

/** How times and shares are written: every edge of the rounding. */
const range = (least: number, most: number) => ({ least: seconds(least), most: seconds(most) });

it.each([
  [0, 20, { least: 1, most: 1 }],
  [29, 89, { least: 1, most: 1 }],
  [90, 149, { least: 2, most: 2 }],
  [150, 600, { least: 3, most: 10 }],
])('%s to %s s in whole minutes, at least one', (least, most, minutes) => {
  expect(wholeMinutes(range(least, most))).toEqual(minutes);
});

it('is one time where both ends round to the same', () => {
  expect(formatRange(range(61, 80))).toBe('about 1 min');
  expect(formatRange(range(60, 120))).toBe('1 to 2 min');
});

it('writes a share as whole percent, and a dash for none', () => {
  expect([percent(0), percent(0.004), percent(0.005), percent(1), percent(1.256)]).toEqual([
    0, 0, 1, 100, 126,
  ]);
  expect([percentText(0.456), percentText(null), percentText(0)]).toEqual(['46 %', '–', '0 %']);
});

it('rounds to tenths and hundredths, half upwards, below nothing too', () => {
  expect([0, 1.24, 1.25, -1.25, -1.26, 12].map(toTenth)).toEqual([0, 1.2, 1.3, -1.2, -1.3, 12]);
  expect([0.124, 0.125, -0.125, -0.126, 3].map(toHundredth)).toEqual([0.12, 0.13, -0.12, -0.13, 3]);
});
