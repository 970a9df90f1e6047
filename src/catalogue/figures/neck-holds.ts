import type { Contact, DrawnProp, Figure } from '@/core/figure';
import {
  CHAIR,
  angles,
  ankle,
  changed,
  figure,
  hand,
  hands,
  headBackTo,
  on,
  pose,
  push,
  right,
} from './kit';

const SIT = pose('sitting', { head: { back: 0.1 } });

const onForehead = { right: hand('forehead', { pole: [0.3, -0.5, 1], flat: [0, 0.35, -1] }) };
const behindHead = hands('occiput', { away: [0, 0, 4], pole: [0.5, 0, 1], flat: [0, 0.3, -1] });
const onSide = { right: hand('sideOfHeadRight', { pole: [0.3, -0.5, 1], flat: [0.15, 1, 0] }) };
const onTemple = { right: hand('templeRight', { pole: [0.5, -0.8, 1], flat: [-0.3, 1, 0] }) };

/** A wall in front, the ball on it at the height of the forehead. */
const WALL_X = 17;
const BALL_CM = 9.6;
const beside = (mark: Contact['mark'], at: number): readonly Contact[] => [
  on('heelRight', 'y'),
  on(mark, 'x', at),
];
const AT_WALL = WALL_X - 2 * BALL_CM;
const facing = (turn: number, mark: Contact['mark']) =>
  pose('standing', {
    pelvis: { turn },
    head: { back: 0.2 },
    contacts: beside(mark, AT_WALL),
  });

/** The back of the head against a pad on a wall, feet a little out. */
const PAD_CM = 6;
const WALL_BACK = -14;
const against = (gives: number, nod = 0) => headBackTo(AGAINST, WALL_BACK + PAD_CM - gives, nod);
const AGAINST = pose('standing', {
  legs: { right: ankle([1, 6.6, 10]), left: ankle([1, 6.6, -10]) },
  contacts: [
    { mark: 'seat', axis: 'y', at: 78.6 },
    { mark: 'buttocks', axis: 'x', at: WALL_BACK },
  ],
});
const PAD: DrawnProp = {
  kind: 'pad',
  at: [WALL_BACK + PAD_CM / 2, 160, 0],
  size: [PAD_CM, 16, 18],
};

/** Shoulders on the wall, the head coming back towards it. */
const atWall = (back: number, nod = 0) =>
  pose('standing', {
    head: { back, nod },
    legs: { right: ankle([0, 6.6, 10]), left: ankle([0, 6.6, -10]) },
    contacts: [
      { mark: 'seat', axis: 'y', at: 78.6 },
      { mark: 'buttocks', axis: 'x', at: WALL_BACK },
    ],
  });

/** Kneeling beside an anchor at the height of the head; the band pulls to the left. */
const ANCHOR_Z = -62;
const SIDE_BAND: DrawnProp = {
  kind: 'band',
  through: [
    { on: 'upperOcciput' },
    { on: 'sideOfHeadRight' },
    { on: 'forehead', away: [0, 2, 0] },
    [2, 107, ANCHOR_Z],
  ],
};
const KNEEL = pose('kneeling', { head: { back: 0.15 } });

const TOWEL: DrawnProp = {
  kind: 'cloth',
  through: [
    { on: 'palmRight' },
    { on: 'sideOfHeadRight', away: [-3, 0, 0] },
    { on: 'upperOcciput' },
    { on: 'sideOfHeadLeft', away: [-3, 0, 0] },
    { on: 'palmLeft' },
  ],
};
const arms = (x: number) => hands([x, 110, 9], { pole: [0, -1, 0.4] });

const lyingFace = (change: Parameters<typeof pose>[1]) =>
  pose('face down', {
    arms: hands([72, 2, 7], { pole: [-0.2, 0.1, 1], flat: [0.2, 0, -0.98] }),
    ...change,
  });

const STRAP: DrawnProp = {
  kind: 'strap',
  through: [
    { on: 'palmRight', away: [0, -2, 0] },
    { on: 'ballRight', away: [0, 0.6, 5] },
    { on: 'ballLeft', away: [0, 0.6, -5] },
    { on: 'palmLeft', away: [0, -2, 0] },
  ],
};
const HOLD_STRAP = { arms: angles(2, 3, 4), grip: true } as const;

export const NECK_HOLDS: Readonly<Record<string, Figure>> = {
  'six-way-hold': figure({
    view: 'quarter',
    crop: 'upper',
    path: 'round',
    // Forward, back, side-bend left and right, turn left and right.
    stages: {
      by: 'direction',
      at: [
        { pose: 0, to: 'front' },
        { pose: 1, to: 'back' },
        { pose: 2, side: 'left', to: 'left' },
        { pose: 2, side: 'right', to: 'right' },
        { pose: 3, side: 'left', to: 'turn left' },
        { pose: 3, side: 'right', to: 'turn right' },
      ],
    },
    poses: {
      'Forehead into the palm': changed(SIT, { arms: onForehead }),
      'Back of the head into the hands': changed(SIT, { arms: behindHead }),
      'Side of the head into the palm, then the other side': changed(SIT, { arms: onSide }),
      'Turn into the palm at the temple, then the other way': changed(SIT, { arms: onTemple }),
    },
    props: [CHAIR],
    works: ['side of neck', 'neck flexors'],
    pushes: [
      push('forehead', [1, 0, 0], 0),
      push('occiput', [-1, 0, 0], 1),
      push('sideOfHeadRight', [0, 0, 1], 2),
      { ...push('templeRight', [0.1, 0, 1], 3), turn: 'right' },
    ],
    fault: ['Head moves', changed(SIT, { head: { back: -0.8, nod: 12, side: 16 }, arms: onSide })],
  }),
  'four-way-ball': figure({
    crop: 'upper',
    path: 'round',
    // Forehead, back of the head, left and right.
    stages: {
      by: 'direction',
      at: [
        { pose: 0, to: 'front' },
        { pose: 2, to: 'back' },
        { pose: 1, to: 'left' },
        { pose: 3, to: 'right' },
      ],
    },
    poses: {
      'Forehead into the ball': facing(0, 'forehead'),
      'Left side into the ball': facing(90, 'sideOfHeadLeft'),
      'Back of the head into the ball': facing(180, 'upperOcciput'),
      'Right side into the ball': facing(270, 'sideOfHeadRight'),
    },
    props: [
      { kind: 'wall', x: WALL_X },
      { kind: 'ball', at: [WALL_X - BALL_CM, 155, 0], radius: BALL_CM },
    ],
    works: ['neck flexors', 'side of neck'],
    pushes: [
      push('forehead', [1, 0, 0], 0),
      push('sideOfHeadLeft', [1, 0, 0], 1),
      push('upperOcciput', [1, 0, 0], 2),
      push('sideOfHeadRight', [1, 0, 0], 3),
    ],
    fault: [
      'Leans with the body',
      pose('standing', {
        pelvis: { flex: 9 },
        head: { back: -0.6, nod: 0 },
        legs: angles(0, 2, 0, { end: 9 }),
        contacts: [on('heelRight', 'y'), on('forehead', 'x', AT_WALL)],
      }),
    ],
  }),
  'prone-neck-hold': figure({
    crop: 'upper',
    poses: {
      'Forehead on the hands': lyingFace({
        lumbar: { flex: -2 },
        thorax: { flex: -6 },
        head: { back: -0.1, nod: 4 },
      }),
      'Head lifted a little, neck long, eyes down': lyingFace({
        lumbar: { flex: -3 },
        thorax: { flex: -10 },
        head: { back: 0.5, nod: 8 },
      }),
    },
    props: [{ kind: 'mat', x: [-92, 86] }],
    works: ['neck extensors', 'lower trapezius'],
    fault: [
      'Looks up',
      lyingFace({ lumbar: { flex: -6 }, thorax: { flex: -12 }, head: { back: 0.2, nod: -36 } }),
    ],
  }),
  'tuck-to-wall': figure({
    crop: 'upper',
    poses: {
      'Buttocks and shoulders on the wall': atWall(-0.5),
      'Head slides back towards it, eyes level': headBackTo(atWall(0), WALL_BACK + 1.4),
    },
    props: [{ kind: 'wall', x: WALL_BACK }],
    works: ['deep neck flexors'],
    fault: ['Forces the head to touch', atWall(0.37, -22)],
  }),
  'wall-press': figure({
    crop: 'upper',
    poses: {
      'Heels, legs, trunk, blades set; the head touches the pad': against(0),
      'Pressed straight back, the chin level': against(0.9),
    },
    props: [{ kind: 'wall', x: WALL_BACK }, PAD],
    works: ['neck extensors', 'upper back'],
    pushes: [push('occiput', [-1, 0, 0], 1)],
    fault: [
      'Pushes with the whole trunk',
      headBackTo(
        changed(AGAINST, {
          lumbar: { flex: -9 },
          thorax: { flex: -2 },
          contacts: [on('seat', 'y', 78.6), on('upperBack', 'x', WALL_BACK)],
        }),
        WALL_BACK + PAD_CM - 0.9,
        -8,
      ),
    ],
  }),
  'side-band-hold': figure({
    view: 'quarter',
    poses: {
      'Kneeling tall, the band round the upper head': KNEEL,
      'Held still against the pull, head level': changed(KNEEL, { head: { back: 0.16 } }),
    },
    props: [SIDE_BAND, { kind: 'doorframe', x: 2, z: ANCHOR_Z - 3 }],
    works: [right('side of neck')],
    pushes: [push('sideOfHeadRight', [0, 0, 1], 1)],
    fault: ['Head tips to the band', changed(KNEEL, { head: { side: -22 } })],
  }),
  'towel-pull': figure({
    crop: 'upper',
    poses: {
      'Towel round the upper head, chest up': changed(SIT, { arms: arms(38), grip: true }),
      'Hands press forward, the head presses back': changed(SIT, {
        head: { back: 0.6 },
        arms: arms(47),
        grip: true,
      }),
    },
    props: [CHAIR, TOWEL],
    works: ['neck extensors', 'upper back'],
    pushes: [push('occiput', [-1, 0, 0]), push('palmRight', [1, 0, 0])],
    fault: [
      'Looks up',
      changed(SIT, { head: { back: 0.3, nod: -28 }, arms: arms(45), grip: true }),
    ],
  }),
  'glide-press': figure({
    view: 'quarter',
    crop: 'upper',
    path: 'round',
    stages: {
      by: 'direction',
      at: [
        { pose: 0, side: 'left', to: 'left' },
        { pose: 0, side: 'right', to: 'right' },
        { pose: 1, to: 'front' },
        { pose: 2, to: 'back' },
      ],
    },
    poses: {
      'The head glides level into the palm at its side, then the other side': changed(SIT, {
        thorax: { side: 2 },
        head: { back: 0.1, side: -2 },
        arms: onSide,
      }),
      'Forward into the palm at the forehead': changed(SIT, {
        head: { back: -0.3 },
        arms: onForehead,
      }),
      'Back into the hands behind the head': changed(SIT, {
        head: { back: 0.5 },
        arms: behindHead,
      }),
    },
    props: [CHAIR],
    works: [right('side of neck')],
    pushes: [
      push('sideOfHeadRight', [0, 0, 1], 0),
      push('forehead', [1, 0, 0], 1),
      push('occiput', [-1, 0, 0], 2),
    ],
    fault: ['Head tips', changed(SIT, { head: { side: 24 }, arms: onSide })],
  }),
  'resisted-range': figure({
    view: 'quarter',
    crop: 'upper',
    stages: {
      by: 'direction',
      at: [
        { from: 2, pose: 3, to: 'front' },
        { from: 4, pose: 5, to: 'back' },
        { from: 0, pose: 1, side: 'left', to: 'left' },
        { from: 0, pose: 1, side: 'right', to: 'right' },
      ],
    },
    poses: {
      'Head tipped away, palm on the side': changed(SIT, { head: { side: -24 }, arms: onSide }),
      'Slowly through the middle against the palm, and on': changed(SIT, {
        head: { side: 24 },
        arms: onSide,
      }),
      'Head up, palm on the forehead': changed(SIT, { head: { nod: -10 }, arms: onForehead }),
      'Slowly bowed against the palm': changed(SIT, { head: { nod: 22 }, arms: onForehead }),
      'Head bowed, hands behind it': changed(SIT, { head: { nod: 22 }, arms: behindHead }),
      'Slowly raised against the hands': changed(SIT, { head: { nod: -6 }, arms: behindHead }),
    },
    props: [CHAIR],
    works: [right('side of neck')],
    pushes: [
      push('sideOfHeadRight', [0, 0.2, 1], 1),
      push('forehead', [1, -0.3, 0], 3),
      push('occiput', [-1, 0.2, 0], 5),
    ],
    fault: [
      'Chin pokes and the shoulder lifts',
      changed(SIT, { head: { back: -0.7, side: 8 }, blades: { up: 2.5 }, arms: onSide }),
    ],
  }),
  'shrug-hold': figure({
    view: 'front',
    poses: {
      'Standing on the strap, both ends in hand': pose('standing', {
        ...HOLD_STRAP,
        legs: angles(0, 4, 0),
      }),
      'Shoulders lift against it and stay': pose('standing', {
        ...HOLD_STRAP,
        legs: angles(0, 4, 0),
        blades: { up: 3.5 },
      }),
    },
    props: [STRAP],
    works: ['upper trapezius'],
    fault: [
      'Chin pokes during the shrug',
      pose('standing', {
        ...HOLD_STRAP,
        legs: angles(0, 4, 0),
        blades: { up: 3.5 },
        head: { back: -1, nod: -12 },
      }),
    ],
  }),
};
