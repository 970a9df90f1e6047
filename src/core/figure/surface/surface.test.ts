import fc from 'fast-check';
import { BASE_POSES, type Vec, mirrorPose, skeletonOf } from '../body';
import { Pen, type Point } from '../drawing/pen';
import { disc, roundAbout, simpler, smooth } from '../drawing/outline';
import { cameraFor } from '../drawing/view';
import { fleshOf } from './flesh';
import { COLUMNS, hairEdgeSpots, HEAD_MIDDLE, skinPoints, faceAt } from './head-surface';
import { type Ring, looksAt, skinAt, touch } from './section';
import { BINS, outlinePoint, silhouetteOf } from './silhouette';

/** A section seen along its bone: half-axes 3 forward and 2 aside, front and back alike. */
const RING: Ring = {
  at: [0, 0, 0],
  front: [3, 0, 0],
  back: [-3, 0, 0],
  right: [0, 2, 0],
  left: [0, -2, 0],
};

const angle = fc.double({ min: 0, max: 2 * Math.PI, noNaN: true });

describe('a cross-section', () => {
  it('touches a direction at the tangent of its ellipse', () => {
    expect(touch(RING, [1, 0])).toEqual([3, 0, 0]);
    expect(touch(RING, [0, -1])).toEqual([0, -2, 0]);
    // x²/9 + y²/4 = 1 with the normal along (x/9, y/4).
    fc.assert(
      fc.property(angle, (at) => {
        const [nx, ny] = [Math.cos(at), Math.sin(at)];
        const [x, y] = touch(RING, [nx, ny]);
        expect((x * x) / 9 + (y * y) / 4).toBeCloseTo(1, 9);
        expect((x / 9) * ny - (y / 4) * nx).toBeCloseTo(0, 9);
      }),
      { examples: [[0.3], [2.1], [4]] },
    );
  });

  it('has its skin at a bearing: 0 in front, 90 at the right, 180 behind', () => {
    expect(skinAt(RING, 0)).toEqual([3, 0, 0]);
    expect(skinAt(RING, 90)[1]).toBeCloseTo(2, 9);
    expect(skinAt(RING, 180)[0]).toBeCloseTo(-3, 9);
    // One whose front looks at the viewer shows its front and hides its back.
    const facing: Ring = { ...RING, front: [0, 0, 3], back: [0, 0, -3] };
    expect(looksAt(facing, 0)).toBeGreaterThan(0);
    expect(looksAt(facing, 180)).toBeLessThan(0);
  });
});

describe('an outline', () => {
  it('round discs holds them all, and is one disc where it covers the others', () => {
    expect(
      roundAbout([
        [0, 0, 5],
        [1, 0, 2],
      ]),
    ).toBe(disc([0, 0, 5]));
    expect(roundAbout([])).toBe('');
    // Two alike beside each other: two half rounds and two lines.
    expect(
      roundAbout([
        [0, 0, 1],
        [4, 0, 1],
      ]),
    ).toBe('M5 0a1 1 0 0 0-1-1l-4 0a1 1 0 0 0 0 2l4 0a1 1 0 0 0 1-1z');
  });

  it('steps between rounded places, so that nothing drifts', () => {
    const far = fc.double({ min: -200, max: 200, noNaN: true });
    fc.assert(
      fc.property(fc.array(fc.tuple(far, far), { minLength: 2, maxLength: 40 }), (points) => {
        const pen = new Pen().move(points[0] as Point);
        for (const at of points.slice(1)) pen.line(at);
        const numbers = [...pen.toString().matchAll(/([Ml])(-?[\d.]+) ?(-?[\d.]+)/g)];
        let end: readonly [number, number] = [0, 0];
        for (const [, verb, dx, dy] of numbers)
          end =
            verb === 'M' ? [Number(dx), Number(dy)] : [end[0] + Number(dx), end[1] + Number(dy)];
        const [x, y] = points.at(-1) ?? [0, 0];
        expect(Math.abs(end[0] - x)).toBeLessThan(0.051);
        expect(Math.abs(end[1] - y)).toBeLessThan(0.051);
      }),
    );
  });

  it('is smooth through its points, and straight where there are two', () => {
    expect(
      smooth([
        [0, 0],
        [10, 0],
      ]),
    ).toBe('M0 0l10 0');
    expect(
      smooth(
        [
          [0, 0],
          [1, 1],
          [2, 0],
        ],
        true,
      ),
    ).toMatch(/^M0 0(c[-\d. ]+){3}z$/);
  });

  it('leaves out only points nearer to the line than asked', () => {
    const line: Point[] = [
      [0, 0],
      [1, 0.05],
      [2, 0],
      [3, 1],
      [4, 0],
    ];
    expect(simpler(line, 0.1)).toEqual([
      [0, 0],
      [2, 0],
      [3, 1],
      [4, 0],
    ]);
    expect(simpler(line, 2)).toEqual([
      [0, 0],
      [4, 0],
    ]);
  });
});

describe('a head', () => {
  it('is seen whole from its middle: every edge of its skin has one outline', () => {
    const seen = skinPoints().map(({ at }) => at);
    const { far } = silhouetteOf(seen, COLUMNS, [HEAD_MIDDLE[0], HEAD_MIDDLE[1]]);
    expect(Math.min(...far)).toBeGreaterThan(5);
    expect(Math.max(...far)).toBeLessThan(15);
  });

  it('has its nose in front of its lips, and those in front of what lies between', () => {
    const [nose, under, lip] = [-0.8, -2.05, -3.4].map((y) => faceAt(y, 0)[0]);
    expect(nose).toBeGreaterThan((lip ?? 0) + 0.8);
    expect(lip).toBeGreaterThan(under ?? 0);
    // The profile of the chart: tip of the nose 11.9, chin 10.0 from the tragus (from memory).
    expect(nose).toBeCloseTo(11.8, 0);
    expect(faceAt(-6.9, 0)[0]).toBeCloseTo(10, 0);
  });

  it('has the same hair left and right, and a face without', () => {
    const hair = (at: Vec) =>
      skinPoints().find((one) => one.at.every((v, i) => Math.abs(v - (at[i] ?? 0)) < 1e-9))?.hair;
    for (const { at, hair: own } of skinPoints()) {
      const other = hair([at[0], at[1], -at[2]]);
      if (other !== undefined) expect(other).toBe(own);
    }
    expect(skinPoints().filter(({ at: [x, y], hair: own }) => own && x > 8 && y < 8)).toEqual([]);
    expect(hairEdgeSpots().length).toBeGreaterThan(20);
  });

  it('is the outline of a ball where the skin is one', () => {
    const rows = [-80, -60, -40, -20, 0, 20, 40, 60, 80];
    const ball = rows.flatMap((lat) =>
      Array.from({ length: 36 }, (_, i): Vec => {
        const [a, b] = [(lat * Math.PI) / 180, (i * Math.PI) / 18];
        return [10 * Math.cos(a) * Math.cos(b), 10 * Math.sin(a), 10 * Math.cos(a) * Math.sin(b)];
      }),
    );
    const outline = silhouetteOf(ball, 36, [0, 0]);
    for (let bin = 0; bin < BINS; bin += 1)
      expect(Math.hypot(...outlinePoint(outline, bin))).toBeCloseTo(10, 0);
  });
});

describe('the flesh of a body', () => {
  it('stands on the floor, and is its own mirror', () => {
    const pose = BASE_POSES.standing;
    const flesh = fleshOf(skeletonOf(pose), pose);
    const lowest = Math.min(...flesh.map(({ at, radius }) => at[1] - radius));
    expect(Math.abs(lowest)).toBeLessThan(0.6);
    // 170 cm tall, hair left out (proportions of Drillis & Contini 1966).
    expect(Math.max(...flesh.map(({ at, radius }) => at[1] + radius))).toBeCloseTo(170, -1);
    const other = mirrorPose(pose);
    const mirrored = fleshOf(skeletonOf(other), other);
    const width = (all: typeof flesh, sign: 1 | -1) =>
      Math.max(...all.map(({ at }) => at[2] * sign));
    expect(width(mirrored, 1)).toBeCloseTo(width(flesh, -1), 6);
    expect(mirrorPose(mirrorPose(pose))).toEqual(pose);
  });

  it('looks the same to a camera of the other side', () => {
    const camera = cameraFor('front');
    expect(camera.right).toEqual([0, 0, -1]);
    expect(cameraFor('quarter').near[2]).toBeCloseTo(-cameraFor('quarter', true).near[2], 9);
  });
});
