import { describeFigure } from '..';
import { gzipSync } from 'node:zlib';
import {
  type DrawnProp,
  type Figure,
  PRINT_PALETTE,
  beyondRange,
  drawFigure,
  drawPose,
  markAt,
  mirrorFigure,
  movementsBetween,
  poseBetween,
  readPose,
  skeletonOf,
  svgText,
} from '@/core/figure';
import type { WordedExercise } from '@/core/exercise';
import { someOf } from '../../../tests/support/runs';
import { WORDED_EXERCISES } from '../wording';
import { FIGURES, figureOf } from '.';

const drawn = WORDED_EXERCISES.map((exercise) => {
  const figure = figureOf(exercise.id);
  if (!figure) throw new Error(`${exercise.id} has no figure.`);
  return [exercise.name, exercise, figure] as const;
});

/** Moments of every move of a figure, with the pose before and after. */
function moments({ poses }: Figure) {
  return poses.slice(1).flatMap((to, i) => {
    const from = poses[i] ?? to;
    return [0, 0.25, 0.5, 0.75, 1].map((share) => ({
      from,
      to,
      share,
      pose: poseBetween(from, to, share),
    }));
  });
}

/** What an exercise asks for, and what of it must be drawn. */
const DRAWN_AS: Readonly<Record<string, readonly DrawnProp['kind'][]>> = {
  'soft ball': ['ball'],
  'small firm ball': ['ball'],
  'flat band': ['band'],
  wall: ['wall'],
  bench: ['bench'],
  block: ['block'],
  'neck wedge': ['wedge'],
  strap: ['strap'],
  pad: ['pad'],
  pillow: ['pillow'],
  pillowcase: ['cloth'],
  'T-shirt': ['cloth'],
  blanket: ['blanket'],
  chair: ['chair'],
  'bed edge': ['bed'],
  'band anchor': ['wall', 'doorframe'],
};
/** Steps that change what is held or where weight is taken rather than a place; the words say them. */
const STILL_STEPS = new Set(['face-down-lying 1']);

/**
 * A towel under a foot, a pillow between the knees or a cloth round a weight would only hide what is
 * shown; a wall behind somebody seen from the front is no line.
 */
const LEFT_OUT = new Set(['band-foot-push towel', 'side-lying-opening pillow', 'wall-angel wall']);

describe('a drawing for every exercise', () => {
  it('draws all of the catalogue and nothing else', () => {
    expect(Object.keys(FIGURES).sort()).toEqual(WORDED_EXERCISES.map(({ id }) => id).sort());
    expect(figureOf('written-by-a-clinic')).toBeNull();
  });

  it('shows a fault of each', () => {
    const without = drawn.filter(([, , { fault }]) => !fault).map(([, { id }]) => id);
    expect(without).toEqual([]);
  });

  describe.each(someOf(drawn, 3))('%s', (_, exercise: WordedExercise, figure) => {
    it('goes through two or more poses, each with a name', () => {
      expect(figure.poses.length).toBeGreaterThanOrEqual(2);
      expect(figure.names).toHaveLength(figure.poses.length);
      expect(new Set(figure.names).size).toBe(figure.names.length);
    });

    it('stays within what a person can do, in its fault as well', () => {
      expect(figure.fault && beyondRange(figure.fault.pose)).toEqual([]);
      for (const { pose } of moments(figure)) expect(beyondRange(pose)).toEqual([]);
    });

    it('keeps its contacts through the move', () => {
      for (const { from, to, share, pose } of moments(figure)) {
        const { frames } = skeletonOf(pose);
        for (const { mark, axis, at } of from.contacts) {
          const kept = to.contacts.find((one) => one.mark === mark && one.axis === axis);
          if (!kept) continue;
          const wanted = at + (kept.at - at) * share;
          const off = Math.abs(markAt(frames, mark)[axis === 'x' ? 0 : 1] - wanted);
          expect([mark, axis, off < 1.5]).toEqual([mark, axis, true]);
        }
      }
    });

    it('reaches what hands and feet are put on', () => {
      for (const pose of figure.poses) expect(skeletonOf(pose).missed).toBeLessThan(1.5);
    });

    it('draws what it needs', () => {
      const kinds = new Set(figure.props.map(({ kind }) => kind));
      for (const { prop } of exercise.props) {
        if (LEFT_OUT.has(`${exercise.id} ${prop}`)) continue;
        const as = DRAWN_AS[prop];
        if (as) expect([prop, as.some((kind) => kinds.has(kind))]).toEqual([prop, true]);
      }
    });

    it('names a fault the exercise warns of', () => {
      expect(Object.keys(exercise.faults)).toContain(figure.fault?.name);
    });

    it('is under 8 kB a still as it is sent, either way round, and holds no broken number', () => {
      const { length } = figure.poses;
      const stills = figure.poses.flatMap((__, i) =>
        (['right', 'left'] as const).map((side) =>
          svgText(
            drawFigure(figure, i / (length - 1), { before: i > 0, side }),
            PRINT_PALETTE,
            exercise.name,
          ),
        ),
      );
      if (figure.fault)
        stills.push(svgText(drawPose(figure, figure.fault.pose), PRINT_PALETTE, 'fault'));
      for (const still of stills) {
        expect(gzipSync(still).length).toBeLessThan(8000);
        expect(still).not.toMatch(/NaN|undefined|Infinity/);
      }
    });

    it('differs from pose to pose so that it is seen, or is pushed where it does not', () => {
      // A hold against something moves nothing: there a push is drawn instead.
      const last = figure.poses.length - 1;
      for (const [i, to] of figure.poses.entries()) {
        const from = figure.poses[i - 1];
        if (!from) continue;
        const moves = movementsBetween(from, to).length > 0;
        const pushed = figure.pushes.some(({ at }) => (at ? at.includes(i) : true));
        const pictures = [i - 1, i].map((pose) =>
          drawFigure(figure, pose / last, { before: true })
            .shapes.map(({ d }) => d)
            .join(),
        );
        expect([i, moves || pushed || STILL_STEPS.has(`${exercise.id} ${i}`)]).toEqual([i, true]);
        expect(pictures[0]).not.toBe(pictures[1]);
      }
    });

    it('is the same figure when it is mirrored twice', () => {
      expect(mirrorFigure(mirrorFigure(figure))).toEqual(figure);
    });

    it('is described pose by pose', () => {
      const words = describeFigure(figure);
      for (const name of figure.names) expect(words.toLowerCase()).toContain(name.toLowerCase());
    });
  });
});

/** From the first pose to the last: how far the head went, and how far the face tipped. */
function headMove(id: string) {
  const { poses } = FIGURES[id] as Figure;
  const [first, last] = [readPose(poses[0]), readPose(poses.at(-1) ?? poses[0])];
  return {
    back: first.headForwardCm - last.headForwardCm,
    tip: last.gazeUpDeg - first.gazeUpDeg,
    turn: Math.abs(last.headTurnRightDeg - first.headTurnRightDeg),
  };
}

describe('the drawings show what the exercise is', () => {
  it.each(['tuck-seated', 'tuck-to-wall', 'band-lengthening', 'towel-pull', 'posture-reset'])(
    '%s: the head goes straight back, neither down nor up',
    (id) => {
      const { back, tip } = headMove(id);
      expect(back).toBeGreaterThan(1.5);
      expect(Math.abs(tip)).toBeLessThan(11);
    },
  );

  it.each(['nod-on-ball', 'nod-hold-finger-check', 'tuck-lying'])(
    '%s: lying, the chin comes down while the head stays where it lies',
    (id) => {
      expect(headMove(id).tip).toBeLessThan(-10);
      const { poses } = FIGURES[id] as Figure;
      const height = (pose: Figure['poses'][0]) => markAt(skeletonOf(pose).frames, 'skull')[1];
      expect(Math.abs(height(poses[1]) - height(poses[0]))).toBeLessThan(0.5);
    },
  );

  it('looks up with the base of the neck pushed back', () => {
    const { back, tip } = headMove('look-up-push');
    expect(back).toBeGreaterThan(1);
    // The trade aims at about 30–40° looking back (common practice, no source).
    expect(tip).toBeGreaterThan(20);
    expect(tip).toBeLessThan(41);
  });

  it('moves nothing that is held against a hand', () => {
    for (const id of ['cheekbone-nod', 'forehead-tuck', 'under-jaw-tuck']) {
      const { back, tip, turn } = headMove(id);
      expect([id, Math.abs(back) < 1, Math.abs(tip) < 4, turn < 1]).toEqual([id, true, true, true]);
    }
  });

  it('lets one end of a nerve go as the other is loaded, in sliders only', () => {
    for (const nerve of ['median', 'ulnar', 'radial']) {
      const side = (id: string) => readPose((FIGURES[id] as Figure).poses[1]).headSideRightDeg;
      // The right arm is loaded at the end: the head comes to it, or goes away from it.
      expect(side(`${nerve}-slider`)).toBeGreaterThan(10);
      expect(side(`${nerve}-tensioner`)).toBeLessThan(-10);
    }
    const lift = (id: string) => headMove(id).tip;
    expect(lift('sciatic-slider')).toBeGreaterThan(10);
    expect(lift('sciatic-tensioner')).toBeLessThan(-10);
  });

  it('draws a one-sided exercise for the left as the mirror of the right', () => {
    const figure = FIGURES['median-slider'] as Figure;
    const right = drawFigure(figure, 1);
    const left = drawFigure(figure, 1, { side: 'left' });
    expect(left.box[2]).toBe(right.box[2]);
    expect(Math.abs(left.box[0] + left.box[2] + right.box[0])).toBeLessThanOrEqual(1.5);
    expect(left.shapes).toHaveLength(right.shapes.length);
  });
});
