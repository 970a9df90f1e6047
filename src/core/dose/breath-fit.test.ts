import { doseFrom } from '../../../tests/support/dose-lines';
import { breathMisfit } from '.';

it.each([
  ['10x10s breath 4-4-4', 12, 10, [12]],
  ['x5 hold 30s breath 4-4-4', 12, 30, [24, 36]],
  ['x5 hold 5s breath 4-0-6', 10, 5, [10]],
  ['x5 hold 20-25s breath 4-0-6', 10, 20, [20, 30]],
  ['2min breath 4-4-5', 13, 120, [117, 130]],
])('%s: a breath of %i s does not fit %i s', (line, cycle, hold, fits) => {
  expect(breathMisfit(doseFrom(line))).toEqual({ cycle, hold, fits });
});

it.each([
  'x10 breath 4-4-4',
  '10x12s breath 4-4-4',
  '24s breath 4-4-4',
  '10x10s',
  'x5 hold 20-40s breath 4-0-6',
])('%s: nothing to say', (line) => {
  expect(breathMisfit(doseFrom(line))).toBeNull();
});
