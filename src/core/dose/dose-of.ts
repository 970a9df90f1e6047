import type { Dose } from './model';
import { parseDose } from './parse';

/** Lines of the tables are few; parsing each once is enough. */
const parsed = new Map<string, Dose>();

/** A dose line of the tables; they are all readable, which their test holds. */
export function doseOf(line: string): Dose {
  const known = parsed.get(line);
  if (known) return known;
  const read = parseDose(line);
  if (!read.ok) throw new RangeError(`not a dose line: ${line}`);
  parsed.set(line, read.value);
  return read.value;
}
