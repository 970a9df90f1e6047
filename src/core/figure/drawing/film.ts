import type { Figure } from '../figure';
import { type DrawOptions, drawFigure, roundEnd } from './draw';
import { keeper } from '../keep';
import type { Drawing } from './shape';
import { insetText } from './svg';

/** A drawing's shapes as markup inside an <svg>; each path's class is its tone. */
export function shapeMarkup(drawing: Drawing): string {
  return drawing.shapes
    .filter(({ d }) => d !== '')
    .map(({ tone, d }) => `<path class="${tone}" d="${d}"/>`)
    .join('')
    .concat(insetText(drawing, shapeMarkup));
}

/** Moments drawn between two poses: finer than the eye tells apart at a body's own pace. */
const STEPS_BETWEEN_POSES = 24;

/**
 * While a figure moves, a moment that is drawn already stands in for one so many steps away: a twelfth of the
 * way between two poses, too little to be seen as another place.
 */
const NEAR_STEPS = 2;

/** A figure's moments, each drawn once when it is first shown. */
export type Film = {
  readonly box: Drawing['box'];
  /** The markup at a moment. */
  readonly at: (along: number) => string;
  /** The markup of a moment that is as good while the figure moves: near it, and drawn already; else at it. */
  readonly near: (along: number) => string;
  /** Draws the next moment that is not drawn, from the one asked for last; false when all are. */
  readonly drawNext: () => boolean;
};

/**
 * Draws a figure's moments as they are asked for, or ahead while nothing else is to do, and keeps them:
 * on a slow phone showing a moment then costs a look-up, not a body.
 */
export function filmOf(figure: Figure, options: DrawOptions = {}): Film {
  const steps = STEPS_BETWEEN_POSES * (figure.poses.length - 1);
  const last = Math.ceil(steps * roundEnd(figure));
  const frames = new Map<number, string>();
  const keep = keeper();
  const first = drawFigure(figure, 0, options, keep);
  // The place of the whole body is told once; only the close-up moves.
  const inset = insetText(first, shapeMarkup);
  const frame = (step: number): string => {
    const known = frames.get(step);
    if (known !== undefined) return known;
    const moment = drawFigure(figure, step / steps, { ...options, inset: false }, keep);
    const made = shapeMarkup(moment) + inset;
    frames.set(step, made);
    return made;
  };
  const stepAt = (along: number) => Math.min(last, Math.max(0, Math.round(along * steps)));
  let next = 0;
  /** The first step that is not drawn, from one on; null where all of them are. */
  const undrawn = (from: number): number | null => {
    for (let step = from; step <= last; step += 1) if (!frames.has(step)) return step;
    return null;
  };
  return {
    box: first.box,
    at: (along) => frame(stepAt(along)),
    near: (along) => {
      next = stepAt(along);
      for (let away = 0; away <= NEAR_STEPS; away += 1) {
        const known = frames.get(next - away) ?? frames.get(next + away);
        if (known !== undefined) return known;
      }
      return frame(next);
    },
    drawNext: () => {
      const step = undrawn(next) ?? undrawn(0);
      if (step === null) return false;
      frame(step);
      return true;
    },
  };
}
