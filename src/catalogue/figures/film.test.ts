import { type DrawOptions, drawFigure, filmOf, shapeMarkup } from '@/core/figure';
import { markupOf } from '../../../tests/support/film';
import { someOf } from '../../../tests/support/runs';
import { FIGURES } from '.';

/** Every other figure from its right, the others from their left; both ways of all in `npm run long`. */
const sidesOf = (nth: number) =>
  process.env.EVERY_CASE
    ? (['right', 'left'] as const)
    : ([nth % 2 === 0 ? 'right' : 'left'] as const);

/** Steps that a film of two poses has: each of these is a moment of its own. */
const STEPS = 24;

/** What stands still is kept from moment to moment: never what has moved. */
describe('a film shows each moment as it is drawn by itself', () => {
  it.each(
    someOf(
      Object.entries(FIGURES).map(([name, figure], nth) => [name, figure, nth] as const),
      3,
    ),
  )('%s', (_, figure, nth) => {
    const steps = STEPS * (figure.poses.length - 1);
    for (const side of sidesOf(nth)) {
      const options: DrawOptions = { side, before: true };
      const film = filmOf(figure, options);
      // There, back, and across: what was kept is of another moment each time.
      for (const step of [0, 7, steps, 0]) {
        const alone = drawFigure(figure, step / steps, { ...options, inset: false });
        expect(markupOf(film)(step / steps).startsWith(shapeMarkup(alone))).toBe(true);
      }
    }
  });
});
