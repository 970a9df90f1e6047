import { Z95 } from './normal';

/** A share of a count with its 95 % interval, each 0–1. */
export type Share = { readonly share: number; readonly low: number; readonly high: number };

/**
 * The score interval of a share (Wilson 1927; memory): it stays within 0–1 and keeps a width where
 * nobody or everybody is counted. It takes what is counted as independent.
 *
 * @param counted whole, 0 to `of`
 * @returns null where there is nothing to be a share of
 * @example shareInterval(81, 263) // { share: 0.308, low: 0.2553, high: 0.3662 } (Newcombe 1998; memory)
 */
export function shareInterval(counted: number, of: number): Share | null {
  if (of <= 0) return null;
  const share = counted / of;
  const square = Z95 ** 2;
  const middle = (counted + square / 2) / (of + square);
  const half = (Z95 * Math.sqrt(of * share * (1 - share) + square / 4)) / (of + square);
  // By rounding alone an end may miss the share of nobody, or of everybody.
  return {
    share,
    low: counted === 0 ? 0 : Math.max(0, middle - half),
    high: counted === of ? 1 : Math.min(1, middle + half),
  };
}
