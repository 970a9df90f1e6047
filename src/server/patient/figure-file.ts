import { createHash } from 'node:crypto';
import { figureOf } from '@/catalogue/figures';
import type { PackPicture } from '@/core/exchange';
import { drawFigure, themedSvg } from '@/core/figure';
import type { ExerciseId } from '@/core/units';

export type FigureSide = 'left' | 'right';
/** A small one has neither the way of the movement nor the whole body beside a close-up. */
export type FigureSize = 'full' | 'small';

type FigureFile = {
  readonly text: string;
  readonly hash: string;
  readonly width: number;
  readonly height: number;
};
const files = new Map<string, FigureFile>();

/** An exercise's still as a file of its own, in the reader's theme; null where there is no drawing. */
export function figureFile(
  exerciseId: ExerciseId,
  side: FigureSide,
  size: FigureSize = 'full',
): FigureFile | null {
  const key = `${exerciseId} ${side} ${size}`;
  const known = files.get(key);
  if (known) return known;
  const figure = figureOf(exerciseId);
  if (!figure) return null;
  const full = size === 'full';
  const drawing = drawFigure(figure, 1, { side, before: full, inset: full });
  const text = themedSvg(drawing);
  const hash = createHash('sha256').update(text).digest('base64url').slice(0, 10);
  const [, , width, height] = drawing.box;
  const made: FigureFile = { text, hash, width: Math.round(width), height: Math.round(height) };
  files.set(key, made);
  return made;
}

/** Where that file is. Its content's hash stands in the address, so that it can be kept for good. */
export function packPicture(exerciseId: ExerciseId, side: FigureSide): PackPicture | null {
  const file = figureFile(exerciseId, side);
  if (!file) return null;
  const { hash, width, height } = file;
  return { address: `/figures/${exerciseId}/${side}?v=${hash}`, width, height };
}
