/**
 * A least and a most of the same thing, least ≤ most. "10–15 s" and "3–5 sets" are ranges;
 * a plain number is a range whose two ends agree.
 */
export type Range<T extends number = number> = { readonly least: T; readonly most: T };

/** The range whose two ends are both `value`. */
export function exactly<T extends number>(value: T): Range<T> {
  return { least: value, most: value };
}

/** True when least and most agree. */
export function isExact(range: Range): boolean {
  return range.least === range.most;
}

/** Sum of ranges end by end: the least of a whole is the sum of the leasts. */
export function sumRanges<T extends number>(ranges: readonly Range<T>[]): Range<T> {
  let least = 0;
  let most = 0;
  for (const range of ranges) {
    least += range.least;
    most += range.most;
  }
  return { least: least as T, most: most as T };
}
