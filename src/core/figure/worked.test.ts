import { markupOf } from '../../../tests/support/film';
import { describeFigure } from '@/catalogue';
import fc from 'fast-check';
import { asLine, digest, drawnCases, rounded } from '../../../tests/support/worked';
import { EXERCISES } from '@/catalogue';
import { figureOf } from '@/catalogue/figures';
import type { SegmentKind } from '../timeline';
import {
  BASE_POSES,
  MARKS,
  MUSCLES,
  type MarkName,
  markAt,
  type Figure,
  type LimbPose,
  type Pose,
  PRINT_PALETTE,
  type Vec,
  about,
  anglesOf,
  attributesOf,
  beyondRange,
  readChange,
  compose,
  drawFigure,
  drawPose,
  ease,
  filmOf,
  limbTurn,
  mirrorPose,
  momentOf,
  poseBetween,
  reachFor,
  readPose,
  skeletonOf,
  slerp,
  svgText,
  themedSvg,
  turn,
  unit,
} from '.';

const FIGURES = EXERCISES.flatMap(({ id }): [string, Figure][] => {
  const figure = figureOf(id);
  return figure ? [[id, figure]] : [];
});

const SEGMENT_KINDS: readonly SegmentKind[] = [
  'get-ready',
  'hold',
  'move',
  'release',
  'gap',
  'rest',
  'change-side',
  'change-position',
  'next-exercise',
];

const angle = (most: number) => fc.integer({ min: -most, max: most });
const bend = (most: number) =>
  fc.record({ flex: angle(most), side: angle(most), turn: angle(most) });
const limb: fc.Arbitrary<LimbPose> = fc.record({
  by: fc.constant('angles' as const),
  forward: angle(170),
  out: angle(85),
  spin: angle(90),
  bend: fc.integer({ min: -5, max: 165 }),
  end: angle(100),
  twist: angle(180),
  tilt: angle(40),
});
const pair = <T>(one: fc.Arbitrary<T>) => fc.record({ right: one, left: one });
const pose: fc.Arbitrary<Pose> = fc.record({
  pelvis: bend(90),
  lumbar: bend(70),
  thorax: bend(50),
  neck: bend(70),
  head: bend(80),
  jaw: fc.integer({ min: 0, max: 30 }),
  blades: pair(fc.record({ up: angle(3), back: angle(3) })),
  arms: pair(limb),
  legs: pair(limb),
  contacts: fc.constantFrom(
    [],
    [{ mark: 'skull' as const, axis: 'y' as const, at: 20 }],
    [{ mark: 'skull' as const, axis: 'x' as const, at: -9 }],
  ),
});
const vec: fc.Arbitrary<Vec> = fc.tuple(angle(60), angle(60), angle(60));

describe('every drawing of the catalogue', () => {
  it('in words', () => {
    expect(FIGURES.map(([id, figure]) => `${id}: ${describeFigure(figure)}`)).toMatchSnapshot();
  });

  it('as film, with and without effort, and as file', () => {
    expect(
      FIGURES.map(([id, figure]) => {
        const film = filmOf(figure, { effort: true });
        const moments = [-1, 0, 0.3, 1, 2];
        return asLine(
          id,
          film.box,
          digest(moments.map(markupOf(film))),
          digest(svgText(drawFigure(figure, 1, { effort: false }), PRINT_PALETTE, '<a & "b">')),
          digest(themedSvg(drawFigure(figure, 0.5))),
          figure.fault ? digest(drawPose(figure, figure.fault.pose)) : '',
        );
      }),
    ).toMatchSnapshot();
  });

  it('read as a viewer could measure it', () => {
    expect(
      FIGURES.map(([id, { poses }]) =>
        asLine(id, digest(poses.map((one) => rounded(readPose(one), 2)))),
      ),
    ).toMatchSnapshot();
  });
});

/** The whole degrees of one angle at which a pose has nothing beyond its range: first and last. */
function allowed(set: (degrees: number) => Pose): string {
  const fine = Array.from({ length: 361 }, (_, i) => i - 180).filter(
    (degrees) => beyondRange(set(degrees)).length === 0,
  );
  return `${fine[0]} to ${fine.at(-1)}`;
}

describe('any pose', () => {
  it('is allowed what a person can do, joint by joint', () => {
    const still = BASE_POSES.standing;
    const hanging = {
      by: 'angles',
      forward: 0,
      out: 0,
      spin: 0,
      bend: 0,
      end: 0,
      twist: 0,
      tilt: 0,
    } as const;
    const spine = (['lumbar', 'thorax', 'neck', 'head'] as const).flatMap((joint) =>
      (['flex', 'side', 'turn'] as const).map(
        (way) =>
          `${joint} ${way}: ${allowed((degrees) => ({ ...still, [joint]: { flex: 0, side: 0, turn: 0, [way]: degrees } }))}`,
      ),
    );
    const limbs = (['arms', 'legs'] as const).flatMap((which) =>
      (['forward', 'out', 'bend', 'end'] as const).map(
        (way) =>
          `${which} ${way}: ${allowed((degrees) => ({ ...still, [which]: { right: { ...hanging, [way]: degrees }, left: hanging } }))}`,
      ),
    );
    expect([...spine, ...limbs]).toMatchSnapshot();
  });

  it('has its joints beyond a person’s range named', () => {
    expect(drawnCases(pose, 60).map((one) => beyondRange(one).join('; '))).toMatchSnapshot();
  });

  it('changes in words', () => {
    const poses = drawnCases(pose, 41, 3);
    expect(poses.slice(1).map((to, i) => readChange(poses[i] ?? to, to))).toMatchSnapshot();
    const small = [4.9, 5, 11.9, 12, 15].map((flex) =>
      readChange(BASE_POSES.sitting, {
        ...BASE_POSES.sitting,
        thorax: { flex, side: 0, turn: 0 },
        head: { ...BASE_POSES.sitting.head, turn: flex },
      }),
    );
    expect(small).toMatchSnapshot();
  });

  it('has a skeleton, its mirror’s, and those between', () => {
    const poses = drawnCases(pose, 31, 5);
    expect(
      poses.slice(1).map((to, i) => {
        const from = poses[i] ?? to;
        return digest(
          rounded(
            [
              skeletonOf(to),
              skeletonOf(mirrorPose(to)),
              ...[-0.1, 0, 0.4, 0.5, 0.9, 1, 1.1].map((share) => poseBetween(from, to, share)),
            ],
            2,
          ),
        );
      }),
    ).toMatchSnapshot();
  });

  it('is drawn from every side', () => {
    const views = (['side', 'front', 'quarter', 'back', 'above'] as const).flatMap((view) =>
      (['whole', 'upper'] as const).map((crop) => ({ view, crop })),
    );
    const [figure] = FIGURES.map(([, one]) => one);
    if (!figure) throw new Error('no figure');
    expect(
      drawnCases(pose, 6, 7).flatMap((one) =>
        views.map((seen) =>
          asLine(seen, digest(drawPose({ ...figure, ...seen, props: [] }, one, { before: true }))),
        ),
      ),
    ).toMatchSnapshot();
  });
});

describe('rotations and reaches', () => {
  it('turn, follow one another and meet half way', () => {
    expect(
      drawnCases(
        fc.tuple(vec, vec, angle(180), angle(180), fc.double({ min: 0, max: 1, noNaN: true })),
        40,
      ).map(([a, b, first, second, share]) => {
        const [one, other] = [about(unit(a), first), about(unit(b), second)];
        return asLine(
          rounded([
            turn(one, b),
            turn(compose(one, other), a),
            slerp(one, other, share),
            slerp(one, one, share),
          ]),
        );
      }),
    ).toMatchSnapshot();
    expect([unit([0, 0, 0]), unit([1e-10, 0, 0], [0, 1, 0]), unit([0, 0, 2])]).toMatchSnapshot();
  });

  it('reach a goal with two bones', () => {
    expect(
      drawnCases(fc.tuple(vec, vec, fc.constantFrom(1 as const, -1 as const)), 40).map(
        ([goal, pole, bends]) => {
          const reach = reachFor(goal, 30, 26, pole, bends);
          return asLine(
            rounded([
              reach.upper,
              reach.bendWay,
              reach.bend,
              reach.missed,
              anglesOf(reach.upper, reach.bendWay, 1, bends),
              limbTurn(
                {
                  ...anglesOf(reach.upper, reach.bendWay, -1, bends),
                  bend: 0,
                  end: 0,
                  twist: 0,
                  tilt: 0,
                },
                -1,
              ),
            ]),
          );
        },
      ),
    ).toMatchSnapshot();
    // Just straight, just too far, in the joint itself, and along the pole.
    expect(
      (
        [
          [0, -56, 0],
          [0, -57, 0],
          [0, 0, 0],
          [0, -4, 0],
          [0, 0, -40],
        ] as Vec[]
      ).map((goal) => rounded(reachFor(goal, 30, 26, [0, 0, -1], 1))),
    ).toMatchSnapshot();
  });
});

it('what a figure shows at every kind of segment', () => {
  const rows = FIGURES.filter(
    ([, { stages, path }], i) => stages !== null || path === 'round' || i < 2,
  ).flatMap(([id, figure]) =>
    SEGMENT_KINDS.flatMap((kind) =>
      [true, false].map((endsRep) => {
        const segment = {
          kind,
          seconds: 4,
          side: 'left',
          direction: 2,
          station: 3,
          barrier: 1,
          endsRep,
        } as Parameters<typeof momentOf>[1];
        return asLine(
          id,
          kind,
          endsRep,
          [-1, 0, 1, 2, 3, 4, 5].map((at) => rounded(momentOf(figure, segment, at).along)),
          [0, 1.9, 2.1].map((at) => rounded(momentOf(figure, segment, at, true))),
          rounded(momentOf(figure, { ...segment, seconds: 0 as never, side: null }, 0)),
        );
      }),
    ),
  );
  expect(rows).toMatchSnapshot();
  expect([-1, 0, 0.1, 0.5, 0.9, 1, 2].map(ease)).toMatchSnapshot();
});

it('paint as attributes', () => {
  expect(Object.values(PRINT_PALETTE).map((paint) => attributesOf(paint))).toMatchSnapshot();
});

describe('the tables a drawing stands on', () => {
  it('base poses and marks of the body', () => {
    expect(
      Object.entries(BASE_POSES).map(([name, one]) =>
        asLine(name, one, digest(rounded(skeletonOf(one), 2))),
      ),
    ).toMatchSnapshot();
    const { frames } = skeletonOf(BASE_POSES.sitting);
    expect(
      (Object.keys(MARKS) as MarkName[]).map((name) =>
        asLine(name, MARKS[name], rounded(markAt(frames, name), 2)),
      ),
    ).toMatchSnapshot();
  });

  it('every muscle lit, from every side', () => {
    const [figure] = FIGURES.map(([, one]) => one);
    if (!figure) throw new Error('no figure');
    expect(
      MUSCLES.map((muscle) =>
        asLine(
          muscle,
          (['side', 'front', 'quarter', 'back', 'above'] as const).map((view) =>
            digest(
              (['working', 'stretched'] as const).map((as) =>
                drawPose(
                  {
                    ...figure,
                    view,
                    props: [],
                    lit: [
                      { muscle, as },
                      { muscle, as, side: 'left' },
                    ],
                  },
                  BASE_POSES.sitting,
                  { effort: true },
                ),
              ),
            ),
          ),
        ),
      ),
    ).toMatchSnapshot();
  });
});
