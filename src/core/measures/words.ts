import type { Detectable } from './kind';
import { type MeasureKindId, kindOf } from './kinds';

/** A kind and side in words: "left neck turn". */
export function wordsOf(kind: MeasureKindId, side: 'left' | 'right' | null): string {
  return side === null ? kindOf(kind).name : `${kindOf(kind).name} ${side}`;
}

/**
 * From which change on a measurement of a kind is real, in words.
 *
 * @example marginInWords('neck-turn', { by: 5 }) // "5°"
 */
export function marginInWords(kind: MeasureKindId, margin: Detectable['margin']): string {
  if (margin === null) return 'not known';
  const { unit } = kindOf(kind);
  if (!('by' in margin)) return `${margin.percent} %`;
  const number = `${margin.by}${unit === '°' ? '°' : ` ${unit}`}`;
  return margin.orPercent === undefined ? number : `${number} or ${margin.orPercent} %`;
}

/**
 * How something was measured, in words. Of what another clinic measured nobody here knows the position.
 *
 * @example howMeasured('inclinometer', 'sitting') // "inclinometer, sitting"
 */
export function howMeasured(instrument: string, position: string): string {
  return instrument === 'from another clinic' ? instrument : `${instrument}, ${position}`;
}
