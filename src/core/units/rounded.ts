/**
 * A number to the nearest tenth, half upwards.
 *
 * @example toTenth(1.25) // 1.3
 */
export function toTenth(value: number): number {
  return Math.round(value * 10) / 10;
}

/**
 * A number to the nearest hundredth, half upwards.
 *
 * @example toHundredth(0.125) // 0.13
 */
export function toHundredth(value: number): number {
  return Math.round(value * 100) / 100;
}
