/**
 * Standard error of measurement: SD · √(1 − ICC) (Weir 2005), in the unit of the SD.
 *
 * @param icc intraclass correlation, 0–1
 */
export function standardError(sd: number, icc: number): number {
  return sd * Math.sqrt(1 - icc);
}

/**
 * Minimal detectable change at 95 %: 1.96 · √2 · SEM (Weir 2005), in the unit of the SEM.
 *
 * @example minimalDetectableChange(2) // 5.54
 */
export function minimalDetectableChange(sem: number): number {
  return 1.96 * Math.SQRT2 * sem;
}

/**
 * An operator's own error from things measured twice: √(Σd² ∕ 2n), the within-subject standard
 * deviation (Dahlberg 1940; memory), in the unit of the differences.
 *
 * @param differences second less first, one for each thing measured twice
 * @returns null when nothing was measured twice
 * @example operatorError([1, -1]) // 0.707
 */
export function operatorError(differences: readonly number[]): number | null {
  if (differences.length === 0) return null;
  const squares = differences.reduce((sum, difference) => sum + difference ** 2, 0);
  return Math.sqrt(squares / (2 * differences.length));
}
