import { changed, pose } from '@/catalogue/figures/kit';
import { dot, minus, size, skeletonOf } from './body';
import { headShapes } from './drawing/head-shapes';
import { type Camera, cameraFor } from './drawing/view';
import { readPose } from './reading';
import { faceSpot, hairEdgeSpots, sideSpot } from './surface/head-surface';

/** A head that sits, turned to the right and seen from somewhere, as it is painted: from behind forward. */
const painted = (turn: number, camera: Camera = cameraFor('front')) =>
  [
    ...headShapes(skeletonOf(changed(pose('sitting'), { head: { turn } })).frames.head, 0, camera),
  ].sort((a, b) => a.near - b.near);

/** How far to the right of the sheet a path begins. */
const begins = (d = '') => Number(/^M(-?[\d.]+)/.exec(d)?.[1]);

describe('the ears of a head', () => {
  it('are both before the face where it looks at the viewer', () => {
    const tones = painted(0).map(({ tone }) => tone);
    expect(tones.slice(0, 3)).toEqual(['skin', 'hair', 'skin']);
  });

  // The far one was drawn across the far eye of a head that was turned and lay a little back.
  it.each([18, 22, 26])('are one behind the face where it is turned by %d degrees', (turn) => {
    const [behind, face, hair, before] = painted(turn);
    expect([behind?.tone, face?.tone, hair?.tone, before?.tone]).toEqual([
      'skin',
      'skin',
      'hair',
      'skin',
    ]);
    // To the right of the person is the left of the sheet: there the far ear is.
    expect(begins(behind?.d)).toBeLessThan(begins(before?.d));
  });

  it.each([
    [40, cameraFor('front')],
    [0, cameraFor('side')],
  ])('are the near one alone where it is turned by %d degrees more', (turn, camera) => {
    const tones = painted(turn, camera).map(({ tone }) => tone);
    expect(tones.slice(0, 3)).toEqual(['skin', 'hair', 'skin']);
    expect(tones.filter((tone) => tone === 'skin')).toHaveLength(2);
  });
});

// It turned about the slope of the neck, so that it tipped to the side by up to 24 degrees.
describe('a head that turns, its chin level', () => {
  const cases = (['sitting', 'lying'] as const).flatMap((base) =>
    [-0.9, 0, 0.85].flatMap((back) => [-60, 30, 60].map((turn) => [base, back, turn] as const)),
  );
  it.each(cases)('%s, slid back by %d: neither tips nor nods, turned by %d', (base, back, turn) => {
    const ahead = readPose(changed(pose(base), { head: { back } }));
    const turned = readPose(changed(pose(base), { head: { back, turn } }));
    expect(turned.headTurnRightDeg).toBeCloseTo(turn, 5);
    expect(turned.headSideRightDeg).toBeCloseTo(0, 5);
    expect(Math.abs(turned.gazeUpDeg)).toBeLessThanOrEqual(Math.abs(ahead.gazeUpDeg) + 1e-6);
  });

  it('tips by as much as both joints are bent to the side', () => {
    const tipped = readPose(changed(pose('sitting'), { head: { side: 20 } }));
    expect(tipped.headSideRightDeg).toBeCloseTo(20, 5);
    expect(tipped.headTurnRightDeg).toBeCloseTo(0, 5);
  });
});

describe('a spot of the head', () => {
  const spots = [
    ...[-4, 0, 6].flatMap((y) => [-3, 0.5, 3].map((z) => faceSpot(y, z))),
    ...[-2, 4, 9].flatMap((y) => [-160, -90, -20, 20, 90, 160].map((way) => sideSpot(y, way))),
    ...hairEdgeSpots(),
  ];
  it('looks away from the head, one long', () => {
    for (const { at, looks } of spots) {
      expect(size(looks)).toBeCloseTo(1, 9);
      expect(dot(looks, minus(at, [0.5, 2, 0]))).toBeGreaterThan(0);
    }
  });
});
