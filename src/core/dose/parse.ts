import type { Slot } from './part';
import { type Result, ok } from '../units';
import { checkWhole } from './check-whole';
import { type DoseError, DoseFailure } from './error';
import { takeHead } from './head';
import type { Dose } from './model';
import { PART_WORDS, takePart } from './parts';
import { Scanner, type Spot } from './scanner';

/** Longer text than any dose needs; refused before it is read. */
export const LONGEST_LINE = 300;

const SLOT_WORD: Readonly<Record<Slot, string>> = {
  hold: 'The hold',
  tempo: 'The movement',
  breath: 'The breath',
  directions: 'What follows “in”',
  stations: 'Where it is done',
  load: 'The load',
  band: 'The band',
  gap: 'The gap',
  rest: 'The rest',
  side: 'The side',
  effort: 'The effort',
  tuck: 'The tuck',
  warmUpSets: 'The warm-up',
  times: 'How often a day',
  days: 'Which days',
  fromDay: 'The first day',
  until: 'The last day',
};

/**
 * Reads a dose line.
 *
 * @param typed what the clinician typed; any case, any spacing
 * @returns the dose, or the first error with its character and what was expected there.
 *   Never throws, and never skips text it does not understand.
 * @example parseDose('3x10 hold 5s rest 60s') // { ok: true, value: { head: …, hold: …, rest: … } }
 * @example parseDose('10') // { ok: false, at: 0, found: '10', expected: ['x10', '10s', '3x10'], … }
 */
export function parseDose(typed: string): Result<Dose, DoseError> {
  const scanner = new Scanner(typed);
  try {
    if (typed.length > LONGEST_LINE) {
      scanner.position = LONGEST_LINE;
      scanner.fail(`A dose line is at most ${LONGEST_LINE} characters long.`, []);
    }
    return ok(read(scanner));
  } catch (failure) {
    if (failure instanceof DoseFailure) return { ok: false, ...failure.error };
    throw failure;
  }
}

function read(scanner: Scanner): Dose {
  scanner.skipSpace();
  const headFrom = scanner.position;
  const head = takeHead(scanner);
  const spots = new Map<Slot | 'head', Spot>([['head', { from: headFrom, to: scanner.position }]]);
  let parts: Omit<Partial<Dose>, 'head'> = {};
  for (;;) {
    const before = scanner.position;
    scanner.skipSpace();
    if (scanner.atEnd) break;
    if (scanner.position === before) {
      scanner.fail(
        `“${scanner.wordAt(scanner.position)}” cannot follow directly: a space, then the next part.`,
        PART_WORDS,
      );
    }
    const from = scanner.position;
    const part = takePart(scanner);
    const spot = { from, to: scanner.position };
    if (spots.has(part.slot)) {
      scanner.fail(`${SLOT_WORD[part.slot]} is already given in this line; keep one.`, [], spot);
    }
    spots.set(part.slot, spot);
    parts = { ...parts, ...part.value };
  }
  return checkWhole(scanner, head, parts, spots);
}
