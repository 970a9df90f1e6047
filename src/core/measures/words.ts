import { type MeasureKindId, kindOf } from './kinds';

/** A kind and side in words: "left neck turn". */
export function wordsOf(kind: MeasureKindId, side: 'left' | 'right' | null): string {
  return side === null ? kindOf(kind).name : `${kindOf(kind).name} ${side}`;
}
