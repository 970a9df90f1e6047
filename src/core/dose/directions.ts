import type { DirectionName, Dose } from './model';

/** How many directions a dose goes in; 1 where it names none. */
export function directionsOf({ directions }: Dose): number {
  if (directions === undefined) return 1;
  return typeof directions === 'number' ? directions : directions.length;
}

/**
 * The directions of a dose by name, in the order they are done.
 *
 * @param named the exercise's own directions, in its order
 * @returns none where the dose has none, or where it counts more than the exercise names
 * @example directionNames(parse('3x10s in 4 directions'), ['front', 'back', 'left', 'right'])
 */
export function directionNames(
  { directions }: Dose,
  named: readonly DirectionName[],
): readonly DirectionName[] {
  if (directions === undefined) return [];
  if (typeof directions !== 'number') return directions;
  return directions <= named.length ? named.slice(0, directions) : [];
}

/**
 * Why these directions cannot be done with an exercise, in a sentence; null where they can.
 *
 * @param named the exercise's own directions; empty where it names none
 */
export function directionMisfit(
  { directions, side }: Dose,
  named: readonly DirectionName[],
): string | null {
  if (directions === undefined) return null;
  if (side !== undefined && named.length > 0)
    return 'Its directions say themselves where they go: leave the side out.';
  if (typeof directions === 'number')
    return named.length > 0 && directions > named.length
      ? `This exercise has ${named.length} directions: in ${named.join('/')}.`
      : null;
  if (named.length === 0)
    return 'This exercise names no directions. Write their number, such as in 4 directions.';
  const other = directions.find((one) => !named.includes(one));
  return other === undefined
    ? null
    : `This exercise does not go “${other}”. Its directions: in ${named.join('/')}.`;
}
