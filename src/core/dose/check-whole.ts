import type { Slot } from './part';
import type { ParsedHead } from './head';
import { MOST_REPS_A_LINE } from './limits';
import type { Dose, Head } from './model';
import type { Scanner, Spot } from './scanner';
import { blocksOf, repsOf, setsOf } from './volume';

type Spots = ReadonlyMap<Slot | 'head', Spot>;

/**
 * What only the whole line shows: parts that need or exclude each other. Returns the dose in its
 * one canonical shape, in which a pause of a one-block dose is always a gap.
 */
export function checkWhole(
  scanner: Scanner,
  parsed: ParsedHead,
  parts: Omit<Partial<Dose>, 'head'>,
  spots: Spots,
): Dose {
  const { hold, ...others } = parts;
  let dose: Dose;
  if (parsed.kind === 'open') {
    if (hold === undefined) {
      const end = { from: scanner.typed.length, to: scanner.typed.length };
      return scanner.fail('How many of what? Write 5x10, 5x5s, or add a hold.', ['hold 5s'], end);
    }
    dose = { ...others, head: { kind: 'bouts', bouts: parsed.bouts, span: hold } };
  } else {
    if (parsed.kind === 'bouts' && hold !== undefined) {
      scanner.fail(
        'The line already begins with the length of each bout; leave the hold out or write repetitions.',
        [],
        spots.get('hold'),
      );
    }
    dose = { ...parts, head: parsed };
  }
  checkStations(scanner, dose, spots);
  checkDirections(scanner, dose, spots);
  checkSets(scanner, dose, spots);
  checkDays(scanner, dose, spots);
  if (repsOf(dose).most > MOST_REPS_A_LINE) {
    scanner.fail(`More than ${MOST_REPS_A_LINE} repetitions in one line.`, [], spots.get('head'));
  }
  return withOnePause(scanner, dose, spots);
}

function checkStations(scanner: Scanner, dose: Dose, spots: Spots): void {
  const held = dose.hold !== undefined || dose.head.kind === 'bouts';
  if (dose.stations?.kind === 'barriers' && !held) {
    scanner.fail(
      'Barriers are held: add a hold, or write 30s at 3 barriers.',
      ['hold 30s'],
      spots.get('stations'),
    );
  }
}

/** Named directions say themselves where they go. Lines of before have their number beside a side. */
function checkDirections(scanner: Scanner, dose: Dose, spots: Spots): void {
  if (typeof dose.directions === 'object' && dose.side !== undefined)
    scanner.fail(
      'The directions are named, so there is no side beside them: leave it out.',
      [],
      spots.get('side'),
    );
}

function checkSets(scanner: Scanner, dose: Dose, spots: Spots): void {
  const sets = setsOf(dose.head);
  if (dose.warmUpSets !== undefined && dose.warmUpSets >= sets.least) {
    scanner.fail(
      `There are ${sets.least} sets, so at most ${sets.least - 1} can be warm-up.`,
      [],
      spots.get('warmUpSets'),
    );
  }
  const loads = dose.load?.perSet.length ?? 1;
  if (loads > 1 && loads !== sets.most) {
    scanner.fail(
      `${loads} loads for ${describeSets(dose.head)}: give one, or one for each set.`,
      [],
      spots.get('load'),
    );
  }
}

function describeSets(head: Head): string {
  const { most } = setsOf(head);
  return most === 1 ? 'one set' : `${most} sets`;
}

function checkDays(scanner: Scanner, dose: Dose, spots: Spots): void {
  const { until, fromDay } = dose;
  if (until?.kind === 'day' && fromDay !== undefined && until.day < fromDay) {
    scanner.fail(
      `It would end on day ${until.day}, before it begins on day ${fromDay}.`,
      [],
      spots.get('until'),
    );
  }
}

/** "Rest" in a dose of one block means the gap; beside a gap it would be a second one. */
function withOnePause(scanner: Scanner, dose: Dose, spots: Spots): Dose {
  if (dose.rest === undefined || blocksOf(dose).most > 1) return dose;
  if (dose.gap !== undefined) {
    scanner.fail(
      'There is only one set here, so gap and rest would be the same pause; keep one.',
      ['gap'],
      spots.get('rest'),
    );
  }
  const { rest, ...others } = dose;
  return { ...others, gap: rest };
}
