import { twoSidedP } from '../statistics';

/**
 * Share of Student's t below a value, by Wallace's transformation to a normal one (1959; memory): within
 * 0.001 from ten degrees of freedom on.
 *
 * @param freedom degrees of freedom, 1 or more
 * @returns 0–1
 * @example belowT(1.812, 10) // 0.95
 */
export function belowT(t: number, freedom: number): number {
  const z =
    ((8 * freedom + 1) / (8 * freedom + 3)) * Math.sqrt(freedom * Math.log1p((t * t) / freedom));
  const beyond = twoSidedP(z) / 2;
  return t < 0 ? beyond : 1 - beyond;
}
