import { formatDose, parseDose } from '../../dose';
import { takeOff } from './take-off';

/** A dose with a lighter band; null where there is none. */
function lighter(line: string): string | null {
  const dose = parseDose(line);
  if (!dose.ok) throw new Error(dose.say);
  const taken = takeOff(dose.value, ['band'], { stations: [], owned: [] });
  return taken && formatDose(taken.dose);
}

// Ours, no source: a band of a level goes down by a level, a measured one by a fifth of its length.
it.each([
  ['x10 band firm', 'x10 band medium'],
  ['x10 band medium', 'x10 band light'],
  ['x10 band light', null],
  ['x10 band "Clinic 3" stretch 100%', 'x10 band "Clinic 3" stretch 80%'],
  ['x10 band "Clinic 3" stretch 30%', 'x10 band "Clinic 3" stretch 10%'],
  ['x10 band "Clinic 3" stretch 20%', null],
  ['x10 band "Clinic 3"', null],
  ['x10', null],
])('a lighter band than in %s: %s', (line, less) => {
  expect(lighter(line)).toBe(less);
});
