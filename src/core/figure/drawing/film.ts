import type { Figure } from '../figure';
import { type DrawOptions, drawFigure, roundEnd } from './draw';
import { keeper } from '../keep';
import type { Drawing, Shape } from './shape';
import { insetText } from './svg';

/** A drawing's shapes as markup inside an <svg>; each path's class is its tone. */
export function shapeMarkup(drawing: Drawing): string {
  return pathMarkup(drawing.shapes).concat(insetText(drawing, shapeMarkup));
}

/** Shapes as paths; what is nothing is left out. */
export function pathMarkup(shapes: readonly Shape[]): string {
  return shapes
    .filter(({ d }) => d !== '')
    .map(({ tone, d }) => `<path class="${tone}" d="${d}"/>`)
    .join('');
}

/** Moments drawn between two poses: finer than the eye tells apart at a body's own pace. */
const STEPS_BETWEEN_POSES = 24;

/** A figure's moments, each drawn once when it is first shown. */
export type Film = {
  readonly box: Drawing['box'];
  /** The markup of the whole body's place in a close-up, the same at every moment; empty without. */
  readonly inset: string;
  /** What is painted at a moment, in its order: the same value whenever it is the same moment. */
  readonly at: (along: number) => readonly Shape[];
  /** Draws the next moment that nobody asked for yet; false when all are drawn. */
  readonly drawNext: () => boolean;
};

/**
 * Draws a figure's moments as they are asked for, or ahead while nothing else is to do, and keeps them:
 * on a slow phone showing a moment then costs a look-up, not a body.
 */
export function filmOf(figure: Figure, options: DrawOptions = {}): Film {
  const steps = STEPS_BETWEEN_POSES * (figure.poses.length - 1);
  const last = Math.ceil(steps * roundEnd(figure));
  const frames = new Map<number, readonly Shape[]>();
  const keep = keeper();
  const first = drawFigure(figure, 0, options, keep);
  // The place of the whole body is told once; only the close-up moves.
  const inset = insetText(first, shapeMarkup);
  const frame = (step: number): readonly Shape[] => {
    const known = frames.get(step);
    if (known !== undefined) return known;
    const { shapes } = drawFigure(figure, step / steps, { ...options, inset: false }, keep);
    const made = shapes.filter(({ d }) => d !== '');
    frames.set(step, made);
    return made;
  };
  let next = 0;
  return {
    box: first.box,
    inset,
    at: (along) => frame(Math.min(last, Math.max(0, Math.round(along * steps)))),
    drawNext: () => {
      while (next <= last && frames.has(next)) next += 1;
      if (next > last) return false;
      frame(next);
      return true;
    },
  };
}
