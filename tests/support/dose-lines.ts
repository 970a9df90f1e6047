import fc from 'fast-check';
import { type Dose, parseDose } from '@/core/dose';

/** What may stand in each place of a dose line; the empty text leaves the place out. */
const PLACES: readonly (readonly string[])[] = [
  [
    '10x10s',
    '3x10',
    'x10',
    '5x5-10s',
    '3-5x8-12',
    '6-4-2',
    '3x30s',
    '2x2min',
    '12-10-max',
    '30s',
    '4x5',
  ],
  ['', '', 'hold 5s', 'hold 10-15s', 'hold 3s', 'hold 1min'],
  ['', '', 'move 4s', 'slow', 'move 2-3s'],
  ['', '', '', 'breath 4-4-4', 'breath 4-0-6'],
  ['', '', '', 'in 6 directions', 'in 4 directions'],
  ['', '', '', 'at 3 angles', 'at 3 barriers', 'at 10/20deg'],
  ['', '', '', '5kg', '5/7.5/10kg', '50/75/100% 10rm', '30% 1rm', 'adj kg'],
  ['', '', '', 'band medium', 'band "Clinic 3" stretch 50%'],
  ['', '', 'gap 5s', 'gap 20-30s'],
  ['', 'rest 60s', 'rest 90s', 'rest 30-60s'],
  ['', '', 'left', 'right', 'each side', 'alternating'],
  ['', '', '40%', '20-30%', 'rpe 4-6'],
  ['', '', '', 'tuck 50%'],
  ['', '', '', 'warm-up 1'],
  [
    '',
    '2/day',
    '1-3/day',
    'every 2h',
    'every 90min',
    'as needed',
    'on waking',
    'before training',
    'after training',
  ],
  ['', 'daily', 'every other day', 'every 3 days', 'mon wed fri'],
  ['', '', '', 'from day 15'],
  ['', 'until 14 days', 'until 2027-01-31', 'until review'],
];

/** A dose line of any parts that fit each other. */
export const doseLine: fc.Arbitrary<string> = fc
  .tuple(...PLACES.map((words) => fc.constantFrom(...words)))
  .map((words) => words.filter(Boolean).join(' '))
  .filter((line) => parseDose(line).ok);

export const dose: fc.Arbitrary<Dose> = doseLine.map((line) => {
  const parsed = parseDose(line);
  if (!parsed.ok) throw new Error(parsed.say);
  return parsed.value;
});

/** The meaning of a line that must be right. */
export function doseFrom(line: string): Dose {
  const parsed = parseDose(line);
  if (!parsed.ok) throw new Error(`${line}: ${parsed.say}`);
  return parsed.value;
}
