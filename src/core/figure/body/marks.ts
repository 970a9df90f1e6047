import type { Vec } from './vector';

/** The parts of the body that carry a frame of their own. */
export const PARTS = [
  'pelvis',
  'lumbar',
  'thorax',
  'neck',
  'head',
  'upperArmRight',
  'forearmRight',
  'handRight',
  'upperArmLeft',
  'forearmLeft',
  'handLeft',
  'thighRight',
  'shankRight',
  'footRight',
  'thighLeft',
  'shankLeft',
  'footLeft',
] as const;
export type Part = (typeof PARTS)[number];

type Mark = { readonly part: Part; readonly at: Vec };

/** Both of a pair from the right one. */
function pair(name: string, part: string, at: Vec): [string, Mark][] {
  return [
    [`${name}Right`, { part: `${part}Right` as Part, at }],
    [`${name}Left`, { part: `${part}Left` as Part, at: [at[0], at[1], -at[2]] }],
  ];
}

function sides(name: string, part: Part, at: Vec): [string, Mark][] {
  return [
    [`${name}Right`, { part, at }],
    [`${name}Left`, { part, at: [at[0], at[1], -at[2]] }],
  ];
}

const MIDDLE = {
  /** The middle of the round of the skull, {@link SKULL_CM} from its skin at the back. */
  skull: { part: 'head', at: [1, 5.5, 0] },
  occiput: { part: 'head', at: [-8.8, 5.5, 0] },
  upperOcciput: { part: 'head', at: [-7.6, 9.6, 0] },
  vertex: { part: 'head', at: [1, 14.5, 0] },
  forehead: { part: 'head', at: [10.4, 8, 0] },
  chin: { part: 'head', at: [10.4, -6.6, 0] },
  underJaw: { part: 'head', at: [7.5, -8.2, 0] },
  skullBase: { part: 'head', at: [-7.2, -0.5, 0] },
  nape: { part: 'neck', at: [-5, 6, 0] },
  neckBase: { part: 'neck', at: [-6.2, 0.5, 0] },
  throat: { part: 'neck', at: [5.4, 6, 0] },
  upperBack: { part: 'thorax', at: [-6.3, 12, 0] },
  breastbone: { part: 'thorax', at: [13.6, 12, 0] },
  lowBack: { part: 'lumbar', at: [-4.8, 2, 0] },
  belly: { part: 'lumbar', at: [11, 2, 0] },
  buttocks: { part: 'pelvis', at: [-10.2, -2, 0] },
  seat: { part: 'pelvis', at: [-1, -11, 0] },
  frontOfPelvis: { part: 'pelvis', at: [9.6, 1, 0] },
} as const satisfies Record<string, Mark>;

/** From the middle of the skull to the skin at its back and top. */
export const SKULL_CM = 9.4;

type MiddleName = keyof typeof MIDDLE;
type PairName =
  | 'ear'
  | 'cheek'
  | 'sideOfHead'
  | 'shoulderTop'
  | 'frontOfHip'
  | 'sideOfHip'
  | 'shoulderBack'
  | 'elbow'
  | 'palm'
  | 'knuckles'
  | 'thighTop'
  | 'kneeFront'
  | 'shin'
  | 'heel'
  | 'ball'
  | 'toe'
  | 'ankle';
type Sided = `${PairName}${'Right' | 'Left'}`;

/** A named place on the skin. */
export type MarkName = MiddleName | Sided;

export const MARKS = {
  ...MIDDLE,
  ...Object.fromEntries([
    ...sides('ear', 'head', [0.3, 0.8, 7.3]),
    ...sides('cheek', 'head', [8.4, -0.6, 5.4]),
    ...sides('sideOfHead', 'head', [1.5, 6.5, 7.6]),
    ...sides('shoulderTop', 'thorax', [1, 24.5, 12]),
    ...sides('frontOfHip', 'pelvis', [9.4, 3, 9]),
    ...sides('sideOfHip', 'pelvis', [0, -1, 17.4]),
    ...sides('shoulderBack', 'thorax', [-8, 14, 10]),
    ...pair('elbow', 'forearm', [0, 0, 0]),
    ...pair('palm', 'hand', [0, -7.7, 0]),
    ...pair('knuckles', 'hand', [0, -7.7, 0]),
    ...pair('thighTop', 'thigh', [7, -20, 0]),
    ...pair('kneeFront', 'shank', [5.2, 0, 0]),
    ...pair('shin', 'shank', [4.6, -14, 0]),
    ...pair('heel', 'foot', [-4.5, -6.63, 0]),
    ...pair('ball', 'foot', [12, -6.63, 0]),
    ...pair('toe', 'foot', [19.5, -6.63, 0]),
    ...pair('ankle', 'foot', [0, 0, 0]),
  ]),
} as Readonly<Record<MarkName, Mark>>;
