/**
 * A share as whole percent, as it is written everywhere.
 *
 * @param share 0–1, or more where more was done than asked
 * @example percent(0.456) // 46
 */
export function percent(share: number): number {
  return Math.round(share * 100);
}

/**
 * A share in words; a dash where there is none to give.
 *
 * @example percentText(0.456) // "46 %"
 * @example percentText(null) // "–"
 */
export function percentText(share: number | null): string {
  return share === null ? '–' : `${percent(share)} %`;
}
