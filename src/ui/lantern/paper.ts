/**
 * Half the width of a lantern's paper at one of its ribs: it bulges in the middle.
 *
 * @param index of the rib, from the top
 * @param wide of the whole drawing, in its own units
 */
export function halfWidth(index: number, count: number, wide: number): number {
  const turn = ((index + 0.5) / count) * Math.PI;
  return (wide / 2 - 11) * (0.6 + 0.4 * Math.sin(turn));
}
