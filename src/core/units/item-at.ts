/**
 * What stands at a place of a list where something is known to stand: in the place of a fallback that is
 * never met, and that would be a wrong number where it were.
 *
 * @param index from 0; below 0 it is counted from the end
 * @throws RangeError where nothing stands there: a fault of ours, never of what was typed
 * @example itemAt([4, 5, 6], -1) // 6
 */
export function itemAt<T>(list: ArrayLike<T>, index: number): T {
  const found = list[index < 0 ? list.length + index : index];
  if (found === undefined) throw new RangeError('nothing stands there');
  return found;
}
