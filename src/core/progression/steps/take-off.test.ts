import { formatDose, parseDose } from '../../dose';
import { takeOff } from './take-off';

/** A dose with less of something; null where there is none. */
function less(line: string, of: 'band' | 'effort'): string | null {
  const dose = parseDose(line);
  if (!dose.ok) throw new Error(dose.say);
  const taken = takeOff(dose.value, [of], { stations: [], owned: [] });
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
])('a lighter band than in %s: %s', (line, lighter) => {
  expect(less(line, 'band')).toBe(lighter);
});

// Ours, no source: a range of efforts ends at its least; one effort goes down by one of ten, or ten per cent.
it.each([
  ['5x10s gap 5s rpe 4-6', '5x10s gap 5s rpe 4'],
  ['5x10s gap 5s rpe 5', '5x10s gap 5s rpe 4'],
  ['5x10s gap 5s rpe 2', '5x10s gap 5s rpe 1'],
  ['5x10s gap 5s rpe 1', null],
  ['5x10s gap 5s 20-40%', '5x10s gap 5s 20%'],
  ['5x10s gap 5s 40%', '5x10s gap 5s 30%'],
  ['5x10s gap 5s 10%', null],
  ['5x10s gap 5s', null],
])('less effort than in %s: %s', (line, easier) => {
  expect(less(line, 'effort')).toBe(easier);
});
