import { type Range, type Seconds, seconds } from '../units';
import type { LimitName } from './limits';
import type { Scanner, Spot } from './scanner';

const NUMBER = '\\d{1,5}(?:[.,]\\d{1,3})?(?!\\d)';
const UNIT = '(?:s|min|h)(?![a-z0-9])';
const SPAN = new RegExp(`(${NUMBER}) *(${UNIT})?(?: *- *(${NUMBER}) *(${UNIT})?)?`);
const COUNT = /(\d{1,5})(?:-(\d{1,5}))?(?![\d.,]\d|\d)/;
const SECONDS_IN = { s: 1, min: 60, h: 3600 } as const;

export const NUMBER_SOURCE = NUMBER;

/** "2,5" and "2.5" are the same number. */
export function readNumber(text: string): number {
  return Number(text.replace(',', '.'));
}

function toSeconds(value: string, unit: string): Seconds {
  const factor = SECONDS_IN[unit as keyof typeof SECONDS_IN];
  return seconds(Math.round(readNumber(value) * factor * 1000) / 1000);
}

/** A whole number or a range of them: 3, 8-12. */
export function takeCount(
  scanner: Scanner,
  limit: LimitName,
  word: string,
  expected: readonly string[],
): Range {
  const from = scanner.position;
  const match = scanner.take(COUNT);
  if (!match) return scanner.fail(`Expected a whole number of ${word}.`, expected);
  const least = Number(match[1]);
  const range = { least, most: match[2] === undefined ? least : Number(match[2]) };
  scanner.within(range, limit, word, { from, to: scanner.position });
  return range;
}

/** One whole number. */
export function takeWhole(
  scanner: Scanner,
  limit: LimitName,
  word: string,
  expected: readonly string[],
): number {
  const from = scanner.position;
  const range = takeCount(scanner, limit, word, expected);
  if (range.least !== range.most) {
    scanner.fail(`Expected one number of ${word}, not a range.`, expected, {
      from,
      to: scanner.position,
    });
  }
  return range.least;
}

/** A length of time or a range of them: 5s, 10-15s, 1-2min, 30s-1min. */
export function takeSpan(
  scanner: Scanner,
  limit: LimitName,
  word: string,
): { range: Range<Seconds>; spot: Spot } {
  const from = scanner.position;
  const match = scanner.take(SPAN);
  if (!match) return scanner.fail(`Expected how long the ${word} lasts.`, ['5s', '10-15s', '2min']);
  const spot = { from, to: scanner.position };
  const [text, first = '', firstUnit, second, secondUnit] = match;
  const unit = second === undefined ? firstUnit : secondUnit;
  if (unit === undefined) {
    return scanner.fail(
      `A number without a unit: write ${text.trim()}s or ${text.trim()}min.`,
      ['s', 'min', 'h'],
      spot,
    );
  }
  const least = toSeconds(first, firstUnit ?? unit);
  const range = { least, most: second === undefined ? least : toSeconds(second, unit) };
  scanner.within(range, limit, `seconds of ${word}`, spot, ' s');
  return { range, spot };
}
