import { type BoutMode, type Dose, type DoseNeeds, type Unwritten, unwrittenParts } from '../dose';
import { lineSegments } from './line-segments';
import { DEFAULT_PACES, type PaceName, type Paces } from './paces';

/**
 * The pauses of a dose that nobody has written, as the very paces that play in their place, in the
 * order they first come. A pause of no length is not said.
 *
 * @example assumedPauses(parse('2x10 hold 3s in 4 directions'), 'held') // gap, rest, next direction
 */
export function assumedPauses(
  dose: Dose,
  mode: BoutMode,
  paces: Paces = DEFAULT_PACES,
): readonly PaceName[] {
  const found = new Set<PaceName>();
  for (const { kind, work, length } of lineSegments(dose, mode)) {
    const isPause = work === null && kind !== 'move' && kind !== 'release';
    if (isPause && length.written === undefined && length.pace && paces[length.pace] > 0)
      found.add(length.pace);
  }
  return [...found];
}

/**
 * Everything a dose leaves unwritten: the pauses with the seconds that play for them, how often and
 * on which days, and what nothing can stand in for. The desk and the teaching say this.
 */
export function leftUnwritten(
  dose: Dose,
  mode: BoutMode,
  needs: DoseNeeds,
  paces: Paces = DEFAULT_PACES,
): Unwritten {
  const { assumed, missing } = unwrittenParts(dose, needs);
  const pauses = assumedPauses(dose, mode, paces).map((pace) => ({
    key: `assumed.pause.${pace}`,
    values: { seconds: paces[pace] },
  }));
  return { assumed: [...pauses, ...assumed], missing };
}
