import { markupOf } from '../../../tests/support/film';
import fc from 'fast-check';
import { asLine, digest, drawnCases } from '../../../tests/support/worked';
import {
  BASE_POSES,
  HAND_SHAPES,
  type DrawnProp,
  type Figure,
  type LimbPose,
  type Lit,
  MARKS,
  MUSCLES,
  type MarkName,
  type Place,
  type Pose,
  type Push,
  VIEWS,
  type Vec,
  drawFigure,
  filmOf,
  shapeMarkup,
} from '.';

/**
 * What a studio can make beyond the catalogue: any base position moved any way, with things of every kind,
 * pushes and regions, from every side. Drawn once by a fixed seed: what a drawing shows of them changes on
 * purpose only.
 */
const whole = (most: number) => fc.integer({ min: -most, max: most });
const sometimes = <T>(one: fc.Arbitrary<T>) => fc.option(one, { nil: null, freq: 2 });
const bend = (most: number) =>
  fc.record({ flex: whole(most), side: whole(most), turn: whole(most) });
const hanging: fc.Arbitrary<LimbPose> = fc.record({
  by: fc.constant('angles' as const),
  forward: fc.integer({ min: -40, max: 170 }),
  out: fc.integer({ min: -10, max: 90 }),
  spin: whole(60),
  bend: fc.integer({ min: 0, max: 140 }),
  end: whole(40),
  twist: whole(60),
  tilt: whole(20),
  shape: fc.constantFrom(...HAND_SHAPES),
});
const near: fc.Arbitrary<Vec> = fc.tuple(whole(10), whole(10), whole(10));
/** A hand on the body, on it and a little off, or at a place in the room. */
const laid: fc.Arbitrary<LimbPose> = fc.record(
  {
    by: fc.constant('goal' as const),
    to: fc.oneof(
      fc.constantFrom<MarkName>('forehead', 'occiput', 'breastbone', 'seat'),
      fc.tuple(fc.integer({ min: 5, max: 50 }), fc.integer({ min: 60, max: 150 }), whole(40)),
    ),
    pole: fc.constantFrom<Vec>([-0.4, -1, 0.6], [-0.4, -1, -0.6]),
    offset: near,
    shape: fc.constantFrom(...HAND_SHAPES),
  },
  { requiredKeys: ['by', 'to', 'pole'] },
);
const arm = fc.oneof(hanging, laid);
const leg: fc.Arbitrary<LimbPose> = fc.record({
  by: fc.constant('angles' as const),
  forward: fc.integer({ min: -20, max: 110 }),
  out: fc.integer({ min: -10, max: 40 }),
  spin: whole(30),
  bend: fc.integer({ min: 0, max: 130 }),
  end: whole(40),
  twist: fc.constant(0),
  tilt: fc.constant(0),
});
const pair = <T>(one: fc.Arbitrary<T>) =>
  fc.record({ right: sometimes(one), left: sometimes(one) });
/** What differs from the pose before; null where nothing does. */
const change = fc.record({
  pelvis: sometimes(bend(30)),
  lumbar: sometimes(bend(30)),
  thorax: sometimes(bend(25)),
  neck: sometimes(bend(35)),
  head: sometimes(bend(40)),
  jaw: fc.constantFrom(0, 0, 12, 24),
  arms: pair(arm),
  legs: pair(leg),
});
type Change = typeof change extends fc.Arbitrary<infer T> ? T : never;

const changed = (pose: Pose, by: Change): Pose => ({
  ...pose,
  pelvis: by.pelvis ?? pose.pelvis,
  lumbar: by.lumbar ?? pose.lumbar,
  thorax: by.thorax ?? pose.thorax,
  neck: by.neck ?? pose.neck,
  head: by.head ?? pose.head,
  jaw: by.jaw,
  arms: { right: by.arms.right ?? pose.arms.right, left: by.arms.left ?? pose.arms.left },
  legs: { right: by.legs.right ?? pose.legs.right, left: by.legs.left ?? pose.legs.left },
});

const vec: fc.Arbitrary<Vec> = fc.tuple(whole(60), fc.integer({ min: 0, max: 170 }), whole(40));
const mark = fc.constantFrom(...(Object.keys(MARKS) as MarkName[]));
const place: fc.Arbitrary<Place> = fc.oneof(
  vec,
  fc.record({ on: mark }),
  fc.record({ on: mark, away: fc.tuple(whole(20), whole(20), whole(20)) }),
);
const span = fc
  .tuple(fc.integer({ min: -90, max: 0 }), fc.integer({ min: 1, max: 90 }))
  .map(([from, to]): readonly [number, number] => [from, to]);
const prop: fc.Arbitrary<DrawnProp> = fc.oneof(
  fc.record({ kind: fc.constant('wall' as const), x: fc.constantFrom(-14, 1, 14) }),
  fc.record({
    kind: fc.constant('wall' as const),
    x: fc.constantFrom(-1, 20),
    from: fc.integer({ min: 0, max: 80 }),
    to: fc.integer({ min: 90, max: 182 }),
  }),
  fc.record({ kind: fc.constant('chair' as const) }),
  fc.record({ kind: fc.constant('chair' as const), x: whole(20), back: fc.boolean() }),
  fc.record({
    kind: fc.constantFrom('bed' as const, 'bench' as const),
    x: span,
    top: fc.integer({ min: 20, max: 60 }),
  }),
  fc.record({ kind: fc.constant('mat' as const), x: span }),
  fc.record({
    kind: fc.constant('doorframe' as const),
    x: whole(20),
    z: fc.constantFrom(-40, 1, 40),
  }),
  fc.record({
    kind: fc.constantFrom('ball' as const, 'roll' as const),
    at: place,
    radius: fc.integer({ min: 2, max: 30 }),
  }),
  fc.record({
    kind: fc.constantFrom(
      'pad' as const,
      'pillow' as const,
      'block' as const,
      'blanket' as const,
      'weight' as const,
    ),
    at: place,
    size: fc.tuple(
      fc.integer({ min: 2, max: 40 }),
      fc.integer({ min: 2, max: 20 }),
      fc.integer({ min: 2, max: 40 }),
    ),
  }),
  fc.record({
    kind: fc.constant('wedge' as const),
    x: whole(30),
    height: fc.integer({ min: 5, max: 30 }),
    length: fc.integer({ min: 10, max: 60 }),
  }),
  fc.record({
    kind: fc.constantFrom('band' as const, 'cloth' as const, 'strap' as const),
    through: fc.array(place, { minLength: 2, maxLength: 4 }),
  }),
);
const side = fc.constantFrom('right' as const, 'left' as const);
const lit: fc.Arbitrary<Lit> = fc.record(
  {
    muscle: fc.constantFrom(...MUSCLES),
    as: fc.constantFrom('working' as const, 'stretched' as const),
    side,
  },
  { requiredKeys: ['muscle', 'as'] },
);
const push: fc.Arbitrary<Push> = fc.record(
  {
    from: mark,
    way: fc.tuple(whole(10), whole(10), whole(10)).filter((way) => way.some((one) => one !== 0)),
    at: fc.constantFrom([0], [1], [0, 2]),
    turn: side,
  },
  { requiredKeys: ['from', 'way'] },
);

const figure: fc.Arbitrary<Figure> = fc
  .record({
    base: fc.constantFrom(...Object.values(BASE_POSES)),
    ways: fc.array(change, { minLength: 2, maxLength: 3 }),
    view: fc.constantFrom(...VIEWS),
    crop: fc.constantFrom('whole' as const, 'upper' as const),
    path: fc.constantFrom('back' as const, 'round' as const),
    props: fc.array(prop, { maxLength: 4 }),
    lit: fc.array(lit, { maxLength: 3 }),
    pushes: fc.array(push, { maxLength: 2 }),
    eyesClosed: fc.boolean(),
  })
  .map(({ base, ways, eyesClosed, ...rest }) => {
    const [first, second, third] = ways.map((_, i) => ways.slice(0, i + 1).reduce(changed, base));
    return {
      ...rest,
      poses: [first ?? base, second ?? base, ...(third ? [third] : [])],
      names: ['Start', 'There', 'Beyond'],
      fault: null,
      stages: null,
      ...(eyesClosed ? { eyesClosed } : {}),
    };
  });

it('any figure is drawn as before: at rest, on its way, and where it ends, on both sides', () => {
  const rows = drawnCases(figure, 90, 46).map((one, i) => {
    const on = i % 2 === 0 ? 'right' : 'left';
    const film = filmOf(one, { effort: true, side: on });
    const still = drawFigure(one, 1, { before: true, effort: true, side: on });
    return asLine(
      one.view,
      one.crop,
      one.props.map(({ kind }) => kind).join(', '),
      film.box,
      digest([0, 0.5, 1].map(markupOf(film))),
      digest(shapeMarkup(still)),
      digest(drawFigure(one, 0.6, { before: true, square: i % 3 === 0 })),
    );
  });
  expect(rows).toMatchSnapshot();
});
