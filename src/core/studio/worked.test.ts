import fc from 'fast-check';
import { FIGURES } from '@/catalogue/figures';
import { asLine, digest, drawnCases, rounded } from '../../../tests/support/worked';
import { BASE_POSES, HAND_SHAPES, type Pose, type Vec } from '../figure';
import {
  HANDLES,
  REST_PLACES,
  SETTINGS,
  SLIDERS,
  THINGS,
  WAYS,
  type Way,
  bareFigure,
  facePalm,
  figureFrom,
  goalOf,
  handleAt,
  hangingsOf,
  layHand,
  measuresOf,
  moveHandle,
  newThing,
  placeInWords,
  pointToes,
  setSlider,
  shapeHand,
  sliderOf,
} from '.';

/** Worked examples of the studio: geometry, our own; what it makes of a body changes on purpose only. */
const bases = Object.entries(BASE_POSES);
const SIDES = ['right', 'left'] as const;
const whole = (most: number) => fc.integer({ min: -most, max: most });
const small: fc.Arbitrary<Vec> = fc.tuple(whole(25), whole(25), whole(25));
const [standing] = bases.map(([, pose]) => pose);
if (!standing) throw new Error('no base position');

/** As the catalogue has hands: some lie on the body, some hang. */
const poses = [
  ...bases,
  ...Object.entries(FIGURES)
    .filter((_, i) => i % 9 === 0)
    .map(
      ([
        id,
        {
          poses: [, there],
        },
      ]) => [id, there] as const,
    ),
];

describe('worked examples', () => {
  it('handles, and what moving them does', () => {
    const moves = drawnCases(small, 4, 11);
    expect(
      poses.flatMap(([name, pose]) =>
        HANDLES.map((handle) =>
          asLine(
            name,
            handle,
            rounded(handleAt(pose, handle), 1),
            digest(moves.map((by) => moveHandle(pose, handle, by))),
            digest(moveHandle(pose, handle, [300, 300, 300])),
          ),
        ),
      ),
    ).toMatchSnapshot();
  });

  it('limbs told by where they are in the room', () => {
    expect(
      poses.flatMap(([name, pose]) =>
        (['arms', 'legs'] as const).flatMap((which) =>
          SIDES.map((side) => asLine(name, which, side, rounded(goalOf(pose, which, side), 1))),
        ),
      ),
    ).toMatchSnapshot();
  });

  it('sliders, from end to end', () => {
    expect(
      bases.flatMap(([name, pose]) =>
        SLIDERS.map((slider) => {
          const { least, most, unit } = SETTINGS[slider];
          const set = (value: number) => setSlider(pose, slider, value);
          return asLine(
            name,
            slider,
            unit,
            [least, most],
            sliderOf(pose, slider),
            [-500, least, -7, 0, 7.5, most, 500].map((value) => sliderOf(set(value), slider)),
            digest([-7, 7.5, 500].map(set)),
          );
        }),
      ),
    ).toMatchSnapshot();
  });

  it('things, their numbers, and where they can hang', () => {
    expect(
      bases.flatMap(([name, pose]) =>
        THINGS.map((kind) => {
          const thing = newThing(kind, pose);
          return asLine(
            name,
            thing,
            measuresOf(thing).map(({ name: measure, value, set }) => [
              measure,
              value,
              digest(set(value + 1)),
            ]),
            hangingsOf(thing, pose).map(({ name: end, on, hang }) => [
              end,
              on,
              hang(null),
              digest(hang('nape')),
            ]),
          );
        }),
      ),
    ).toMatchSnapshot();
  });

  it('hands laid, shaped and turned, and toes pointed', () => {
    expect(
      REST_PLACES.map((place) =>
        asLine(
          place,
          placeInWords(place),
          poses.map(([, pose]) =>
            SIDES.map((side) => {
              const laid = layHand(pose, side, place);
              return laid ? digest(laid) : '–';
            }).join(' '),
          ),
        ),
      ),
    ).toMatchSnapshot();
    const each = (change: (pose: Pose, side: (typeof SIDES)[number]) => unknown) =>
      digest(poses.map(([, pose]) => SIDES.map((side) => change(pose, side))));
    expect([
      ...HAND_SHAPES.map((shape) =>
        asLine(
          shape,
          each((...of) => shapeHand(...of, shape)),
        ),
      ),
      ...(Object.keys(WAYS) as Way[]).map((way) =>
        asLine(
          way,
          each((...of) => facePalm(...of, way)),
          each((...of) => pointToes(...of, way)),
        ),
      ),
      asLine(
        'off, and left to the forearm',
        each((...of) => layHand(...of, null)),
        each((...of) => facePalm(...of, null)),
      ),
    ]).toMatchSnapshot();
  });

  it('what a drawing begins with', () => {
    expect(
      (Object.keys(BASE_POSES) as (keyof typeof BASE_POSES)[]).map((base) => {
        const { poses: both, ...rest } = bareFigure(base);
        return asLine(base, rest, both.length);
      }),
    ).toMatchSnapshot();
    expect(
      Object.entries(FIGURES)
        .filter(([, { poses: all }]) => all.length > 4)
        .map(([id, figure]) => asLine(id, digest(figureFrom(figure)))),
    ).toMatchSnapshot();
  });
});
