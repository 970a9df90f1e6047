import fc from 'fast-check';
import {
  type Figure,
  type MarkName,
  type Pose,
  type Skeleton,
  type Vec,
  BASES,
  BASE_POSES,
  LENGTHS_CM,
  MARKS,
  PRINT_PALETTE,
  STATURE_CM,
  angles,
  beyondRange,
  readChange,
  readFigure,
  drawFigure,
  markAt,
  minus,
  mirrorPose,
  poseBetween,
  reachFor,
  readPose,
  size,
  skeletonOf,
  svgText,
} from '.';

const bend = fc.record({
  flex: fc.integer({ min: -30, max: 30 }),
  side: fc.integer({ min: -20, max: 20 }),
  turn: fc.integer({ min: -40, max: 40 }),
});
const angled = fc
  .tuple(
    fc.integer({ min: -60, max: 170 }),
    fc.integer({ min: -20, max: 120 }),
    fc.integer({ min: 0, max: 140 }),
    fc.integer({ min: -80, max: 80 }),
  )
  .map(([forward, out, bent, spin]) => angles(forward, out, bent, { spin }));
const reaching = fc
  .tuple(fc.constantFrom<MarkName>('forehead', 'sideOfHeadRight', 'belly', 'nape'), fc.boolean())
  .map(([to, flat]) => ({
    by: 'goal' as const,
    to,
    pole: [-0.4, -1, 0.6] as Vec,
    ...(flat ? { flat: [1, 0, 0] as Vec } : {}),
  }));
const limb = fc.oneof(angled, reaching);
const pair = fc.record({ right: limb, left: limb });
const pose: fc.Arbitrary<Pose> = fc
  .record({
    base: fc.constantFrom(...BASES),
    lumbar: bend,
    thorax: bend,
    neck: bend,
    head: bend,
    arms: pair,
  })
  .map(({ base, ...change }) => ({ ...BASE_POSES[base], ...change }));

const far = (a: Vec, b: Vec) => size(minus(a, b));

/** Every bone of a body, in cm. */
function bones({ frames }: Skeleton): number[] {
  return (['Right', 'Left'] as const).flatMap((side) => [
    far(frames[`upperArm${side}`].at, frames[`forearm${side}`].at),
    far(frames[`forearm${side}`].at, frames[`hand${side}`].at),
    far(frames[`thigh${side}`].at, frames[`shank${side}`].at),
    far(frames[`shank${side}`].at, frames[`foot${side}`].at),
  ]);
}

const { upperArm, forearm, thigh, shank, neck } = LENGTHS_CM;
const BONES = [upperArm, forearm, thigh, shank, upperArm, forearm, thigh, shank];

describe('the body', () => {
  it('has the segment lengths of Drillis & Contini 1966 (from memory) at 170 cm', () => {
    expect(STATURE_CM).toBe(170);
    expect(upperArm).toBeCloseTo(31.6, 1);
    expect(forearm).toBeCloseTo(24.8, 1);
    expect(thigh).toBeCloseTo(41.7, 1);
    expect(shank).toBeCloseTo(41.8, 1);
  });

  it('is as tall as it says when it stands', () => {
    const { frames } = skeletonOf(BASE_POSES.standing);
    const height = markAt(frames, 'vertex')[1] - markAt(frames, 'heelRight')[1];
    expect(Math.abs(height - STATURE_CM)).toBeLessThan(4);
    // The ear over the shoulder: what practitioners look for from the side (common practice).
    const [ear] = markAt(frames, 'earRight');
    expect(Math.abs(ear - markAt(frames, 'shoulderTopRight')[0])).toBeLessThan(4);
  });

  it('never changes the length of a bone, however it is posed', () => {
    fc.assert(
      fc.property(pose, (one) => {
        const skeleton = skeletonOf(one);
        bones(skeleton).forEach((length, i) => expect(length).toBeCloseTo(BONES[i] ?? 0, 6));
        expect(far(skeleton.frames.neck.at, skeleton.frames.head.at)).toBeCloseTo(neck, 6);
      }),
    );
  });

  it('keeps them on the way from any pose to any other', () => {
    fc.assert(
      fc.property(pose, pose, fc.double({ min: 0, max: 1, noNaN: true }), (a, b, share) => {
        bones(skeletonOf(poseBetween(a, b, share))).forEach((length, i) =>
          expect(length).toBeCloseTo(BONES[i] ?? 0, 6),
        );
      }),
    );
  });

  it('begins and ends a move exactly at its poses', () => {
    fc.assert(
      fc.property(pose, pose, (a, b) => {
        expect(poseBetween(a, b, 0)).toBe(a);
        expect(poseBetween(a, b, 1)).toBe(b);
      }),
    );
  });

  it('comes back to itself when mirrored twice, and swaps sides when mirrored once', () => {
    fc.assert(
      fc.property(pose, (one) => {
        expect(mirrorPose(mirrorPose(one))).toEqual(one);
        const [here, there] = [skeletonOf(one), skeletonOf(mirrorPose(one))];
        for (const name of ['vertex', 'chin', 'nape', 'belly'] as const) {
          const [x, y, z] = markAt(here.frames, name);
          expect(far(markAt(there.frames, name), [x, y, -z])).toBeLessThan(1e-6);
        }
        const [x, y, z] = markAt(here.frames, 'elbowRight');
        expect(far(markAt(there.frames, 'elbowLeft'), [x, y, -z])).toBeLessThan(1e-6);
      }),
    );
  });

  it('stands on what carries it', () => {
    for (const base of BASES) {
      const { frames } = skeletonOf(BASE_POSES[base]);
      for (const { mark, axis, at } of BASE_POSES[base].contacts)
        expect([base, mark, markAt(frames, mark)[axis === 'x' ? 0 : 1]]).toEqual([
          base,
          mark,
          expect.closeTo(at, 6),
        ]);
    }
  });

  it('keeps every base within a person’s range, and says which joint is beyond it', () => {
    for (const base of BASES) expect([base, beyondRange(BASE_POSES[base])]).toEqual([base, []]);
    const wrong: Pose = {
      ...BASE_POSES.standing,
      neck: { flex: 90, side: 0, turn: 0 },
      arms: { ...BASE_POSES.standing.arms, right: angles(-80, 0, 170) },
    };
    expect(beyondRange(wrong)).toEqual([
      'neck: flex 90°',
      'right arm: bend 170°',
      'right arm: behind 80°',
    ]);
  });
});

describe('reaching', () => {
  it('bends two bones by the law of cosines', () => {
    // Two bones of 30 cm and a goal 30 cm away make an equilateral triangle: the elbow bends 120°.
    expect(reachFor([0, -30, 0], 30, 30, [0, 0, -1], 1).bend).toBeCloseTo(120, 6);
    expect(reachFor([0, -60, 0], 30, 30, [0, 0, -1], 1).bend).toBeCloseTo(0, 6);
  });

  it('says how much is missing when the goal is too far', () => {
    expect(reachFor([0, -75, 0], 30, 30, [0, 0, -1], 1).missed).toBeCloseTo(15, 6);
  });

  it('puts the hand on a mark wherever the head goes', () => {
    fc.assert(
      fc.property(bend, (head) => {
        const one: Pose = {
          ...BASE_POSES.sitting,
          head: { ...head, flex: head.flex - 25 },
          arms: {
            ...BASE_POSES.sitting.arms,
            right: { by: 'goal', to: 'forehead', pole: [0.3, -0.6, 1] },
          },
        };
        const skeleton = skeletonOf(one);
        expect(skeleton.missed).toBeLessThan(1e-6);
        const hand = markAt(skeleton.frames, 'palmRight');
        expect(far(hand, markAt(skeleton.frames, 'forehead'))).toBeLessThan(1);
      }),
    );
  });
});

const SITTING = BASE_POSES.sitting;
const headed = (low: number, nod: number): Pose => ({
  ...SITTING,
  neck: { flex: 25 + low, side: 0, turn: 0 },
  head: { flex: -25 - low + nod, side: 0, turn: 0 },
});

describe('what a neck can show', () => {
  const level = readPose(SITTING);

  it('tells a tuck, a nod, a poke and a look upwards apart', () => {
    const tuck = readPose(headed(-21, 0));
    const nod = readPose(headed(0, 20));
    const poke = readPose(headed(25, 0));
    const up = readPose(headed(0, -30));
    // Straight back: the head goes back and the face stays level.
    expect(tuck.headForwardCm - level.headForwardCm).toBeLessThan(-3);
    expect(tuck.gazeUpDeg).toBeCloseTo(level.gazeUpDeg, 6);
    expect(nod.gazeUpDeg).toBeCloseTo(level.gazeUpDeg - 20, 6);
    expect(poke.headForwardCm - level.headForwardCm).toBeGreaterThan(3);
    expect(up.gazeUpDeg).toBeCloseTo(level.gazeUpDeg + 30, 6);
  });

  it('says in words only what the drawing shows', () => {
    expect(readChange(SITTING, headed(-21, 0))).toEqual([
      { key: 'change.headForwardCm.less', values: { n: 4 } },
    ]);
    expect(readChange(SITTING, headed(0, 20))).toContainEqual({
      key: 'change.gazeUpDeg.less',
      values: { n: 20 },
    });
    expect(readChange(SITTING, SITTING)).toEqual([]);
  });
});

const figure: Figure = {
  view: 'side',
  crop: 'whole',
  path: 'back',
  poses: [SITTING, headed(-21, 0)],
  names: ['Sitting tall', 'Head slid straight back'],
  props: [{ kind: 'chair' }],
  lit: [{ muscle: 'deep neck flexors', as: 'working' }],
  pushes: [{ from: 'forehead', way: [-1, 0, 0] }],
  fault: null,
  stages: null,
};

describe('a drawing', () => {
  it('is described from where it is seen and what moves', () => {
    expect(readFigure(figure)).toEqual([
      { key: 'seen.side', values: {} },
      { key: 'first', values: { name: 'Sitting tall' } },
      {
        key: 'thenBy',
        values: {
          name: 'Head slid straight back',
          change: [{ key: 'change.headForwardCm.less', values: { n: 4 } }],
        },
      },
    ]);
  });

  it('names poses by their place where they have no names', () => {
    const places = readFigure({ ...figure, names: [] }).map(({ values }) => values.name);
    expect(places.slice(1)).toEqual([
      { key: 'position', values: { nth: 1 } },
      { key: 'position', values: { nth: 2 } },
    ]);
  });

  it('keeps one box for all moments, so that nothing jumps', () => {
    expect(drawFigure(figure, 0.37).box).toEqual(drawFigure(figure, 1).box);
  });

  it('shows every part of the body in its box, from every side', () => {
    for (const view of ['side', 'front', 'back'] as const) {
      const { box, shapes } = drawFigure({ ...figure, view, pushes: [] }, 1);
      const [left, top, width, height] = box;
      const points = shapes
        .filter(({ tone }) => tone === 'skin' || tone === 'cloth')
        .flatMap(({ d }) => d.match(/[ML]?-?\d+(\.\d+)? -?\d+(\.\d+)?(?=[LAZM ]|$)/g) ?? [])
        .map((pair) => pair.replace(/[ML]/, '').split(' ').map(Number));
      expect(points.length).toBeGreaterThan(40);
      for (const [x = 0, y = 0] of points) {
        expect(x).toBeGreaterThanOrEqual(left - 60);
        expect(x).toBeLessThanOrEqual(left + width + 60);
        expect(y).toBeGreaterThanOrEqual(top - 1);
        expect(y).toBeLessThanOrEqual(top + height + 60);
      }
    }
  });

  it('draws the effort, where the head was, or neither', () => {
    const tones = (options: Parameters<typeof drawFigure>[2]) =>
      new Set(drawFigure(figure, 1, options).shapes.map(({ tone }) => tone));
    expect(tones({ before: true })).toEqual(expect.objectContaining({}));
    expect(tones({ before: true }).has('before')).toBe(true);
    expect(tones({}).has('push')).toBe(true);
    expect(tones({ effort: false }).has('push')).toBe(false);
    expect(tones({ effort: false }).has('working')).toBe(false);
  });

  it('is a file of its own whose title is kept from being read as code', () => {
    const text = svgText(drawFigure(figure, 0), PRINT_PALETTE, 'Tuck & "hold" <slowly>');
    expect(text).toContain('<title>Tuck &amp; &quot;hold&quot; &lt;slowly></title>');
    expect(text).not.toMatch(/NaN|undefined|Infinity/);
    expect(text.startsWith('<svg xmlns="http://www.w3.org/2000/svg" viewBox="')).toBe(true);
  });

  it('carries every mark on a part the body has', () => {
    const { frames } = skeletonOf(SITTING);
    for (const name of Object.keys(MARKS) as MarkName[])
      expect(markAt(frames, name).every(Number.isFinite)).toBe(true);
  });
});
