import { createHash } from 'node:crypto';
import type { PackPicture } from '@/core/exchange';
import { type Figure, drawFigure, themedSvg } from '@/core/figure';

export type FigureSide = 'left' | 'right';
/** A small one has neither the way of the movement nor the whole body beside a close-up. */
export type FigureSize = 'full' | 'small';

type FigureFile = {
  readonly text: string;
  readonly hash: string;
  readonly width: number;
  readonly height: number;
};
const files = new WeakMap<Figure, Map<string, FigureFile>>();

/** A drawing's still as a file of its own, in the reader's theme. */
export function figureFile(
  figure: Figure,
  side: FigureSide,
  size: FigureSize = 'full',
): FigureFile {
  const key = `${side} ${size}`;
  const of = files.get(figure) ?? new Map<string, FigureFile>();
  files.set(figure, of);
  const known = of.get(key);
  if (known) return known;
  const full = size === 'full';
  const drawing = drawFigure(figure, 1, { side, before: full, inset: full });
  const text = themedSvg(drawing);
  const hash = createHash('sha256').update(text).digest('base64url').slice(0, 10);
  const [, , width, height] = drawing.box;
  const made: FigureFile = { text, hash, width: Math.round(width), height: Math.round(height) };
  of.set(key, made);
  return made;
}

/**
 * Where that file is. Its content's hash stands in the address, so that it can be kept for good.
 *
 * @param name the exercise's id, or that of a drawing of the clinic's own
 */
export function packPicture(name: string, figure: Figure, side: FigureSide): PackPicture {
  const { hash, width, height } = figureFile(figure, side);
  return { address: `/figures/${name}/${side}?v=${hash}`, width, height };
}
