import {
  closeSync,
  existsSync,
  fsyncSync,
  mkdirSync,
  openSync,
  readFileSync,
  writeSync,
} from 'node:fs';
import { join } from 'node:path';

/** The list of erasures: one line each, beside the database and beside the backups, in neither of them. */
const NAME = 'erasures.jsonl';

/** The longest that is read: some 50,000 lines. */
const MOST_BYTES = 16 * 1024 * 1024;

/** Whether a folder has a list, even an empty one. */
export const hasErasures = (folder: string) => existsSync(join(folder, NAME));

/** The lines of a folder's list; none where there is no list. */
export function erasureLines(folder: string): string[] {
  const file = join(folder, NAME);
  return existsSync(file) ? linesOf(file) : [];
}

/** The lines of a list by its own name. */
export function linesOf(file: string): string[] {
  const bytes = readFileSync(file);
  if (bytes.length > MOST_BYTES) throw new RangeError('the list of erasures is too long');
  return bytes
    .toString('utf8')
    .split('\n')
    .filter((line) => line !== '');
}

/** Adds lines that a folder's list has not yet; the list is made where there is none. */
export function addErasures(folder: string, lines: readonly string[]): void {
  const known = new Set(erasureLines(folder));
  const fresh = lines.filter((line) => !known.has(line));
  if (fresh.length === 0 && hasErasures(folder)) return;
  mkdirSync(folder, { recursive: true, mode: 0o700 });
  const handle = openSync(join(folder, NAME), 'a', 0o600);
  try {
    writeSync(handle, fresh.map((line) => `${line}\n`).join(''));
    fsyncSync(handle);
  } finally {
    closeSync(handle);
  }
}
