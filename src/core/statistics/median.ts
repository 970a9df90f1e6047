/**
 * The middle value in order; of an even number the mean of the two in the middle.
 *
 * @param values at least one, in any order
 * @throws RangeError of none
 * @example median([3, 1, 2, 4]) // 2.5
 */
export function median(values: readonly number[]): number {
  return medianOfSorted(Float64Array.from(values).sort());
}

/** As `median`, of values already in rising order. */
export function medianOfSorted(sorted: ArrayLike<number>): number {
  const { length } = sorted;
  const upper = sorted[length >> 1];
  if (upper === undefined) throw new RangeError('the median of nothing');
  return length % 2 === 1 ? upper : ((sorted[(length >> 1) - 1] ?? upper) + upper) / 2;
}
