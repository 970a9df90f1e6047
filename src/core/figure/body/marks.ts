import { type Vec, unit } from './vector';

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

/** A place on the skin, and which way the skin looks there where a hand may lie on it. */
type Mark = { readonly part: Part; readonly at: Vec; readonly out?: Vec };

/** Both of a pair from the right one. */
function pair(name: string, part: string, at: Vec, out?: Vec): [string, Mark][] {
  return [
    [`${name}Right`, mark(`${part}Right` as Part, at, out)],
    [`${name}Left`, mirrored(mark(`${part}Left` as Part, at, out))],
  ];
}

function sides(name: string, part: Part, at: Vec, out?: Vec): [string, Mark][] {
  const right = mark(part, at, out);
  return [
    [`${name}Right`, right],
    [`${name}Left`, mirrored(right)],
  ];
}

function mark(part: Part, at: Vec, out?: Vec): Mark {
  return out ? { part, at, out: unit(out) } : { part, at };
}

function mirrored({ part, at, out }: Mark): Mark {
  return mark(part, [at[0], at[1], -at[2]], out && [out[0], out[1], -out[2]]);
}

const MIDDLE = {
  /** The middle of the round of the skull, {@link SKULL_CM} from its skin and hair at the back. */
  skull: mark('head', [0.9, 4.7, 0]),
  occiput: mark('head', [-9.3, 5.2, 0], [-1, 0.1, 0]),
  upperOcciput: mark('head', [-8.3, 9.2, 0], [-0.85, 0.5, 0]),
  vertex: mark('head', [0.8, 14.8, 0], [0, 1, 0]),
  forehead: mark('head', [10.1, 7.4, 0], [1, 0.16, 0]),
  chin: mark('head', [10.8, -5.7, 0], [1, 0, 0]),
  underJaw: mark('head', [7.4, -7.3, 0], [0.1, -1, 0]),
  skullBase: mark('head', [-8.2, -1.2, 0], [-1, -0.3, 0]),
  nape: mark('neck', [-5.2, 6, 0], [-1, 0, 0]),
  neckBase: mark('neck', [-5.6, 0, 0], [-1, 0.1, 0]),
  throat: mark('neck', [5.4, 6, 0], [1, 0, 0]),
  upperBack: mark('thorax', [-6.7, 12, 0], [-1, 0, 0]),
  breastbone: mark('thorax', [14.0, 12, 0], [1, 0, 0]),
  lowBack: mark('lumbar', [-3.1, 3, 0], [-1, 0, 0]),
  belly: mark('lumbar', [12.1, 2, 0], [1, 0, 0]),
  buttocks: mark('pelvis', [-11.7, -3, 0], [-1, 0, 0]),
  seat: mark('pelvis', [-1, -11, 0], [0, -1, 0]),
  frontOfPelvis: mark('pelvis', [8.6, 1, 0], [1, 0, 0]),
} as const satisfies Record<string, Mark>;

/** From the middle of the skull to the hair at its back and top, in cm. */
export const SKULL_CM = 10.3;

type MiddleName = keyof typeof MIDDLE;
type PairName =
  | 'ear'
  | 'cheek'
  | 'temple'
  | 'sideOfBack'
  | 'sideOfHead'
  | 'shoulderTop'
  | 'frontOfHip'
  | 'sideOfHip'
  | 'shoulderBack'
  | 'elbow'
  | 'palm'
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
    ...sides('ear', 'head', [0.3, 1.4, 7.6], [0, 0, 1]),
    ...sides('cheek', 'head', [8.2, 0.6, 4.9], [0.75, 0, 0.66]),
    ...sides('temple', 'head', [6.6, 5.6, 6.0], [0.5, 0.1, 0.86]),
    ...sides('sideOfHead', 'head', [0.2, 6.8, 8.0], [0, 0.12, 1]),
    ...sides('shoulderTop', 'thorax', [0.5, 23.0, 11], [0, 1, 0.2]),
    ...sides('frontOfHip', 'pelvis', [8.4, 3, 9], [1, 0, 0.2]),
    ...sides('sideOfHip', 'pelvis', [0, -1, 16.8], [0, 0, 1]),
    ...sides('shoulderBack', 'thorax', [-6.0, 14, 9], [-1, 0, 0]),
    ...sides('sideOfBack', 'lumbar', [-1.6, 3, 9.5], [-0.85, 0, 0.5]),
    ...pair('elbow', 'forearm', [0, 0, 0]),
    ...pair('palm', 'hand', [1.6, -8, 0]),
    ...pair('thighTop', 'thigh', [8.0, -20, 0], [1, 0, 0]),
    ...pair('kneeFront', 'shank', [5.5, 0, 0], [1, 0, 0]),
    ...pair('shin', 'shank', [4.3, -14, 0], [1, 0, 0]),
    ...pair('heel', 'foot', [-4.5, -6.63, 0]),
    ...pair('ball', 'foot', [12, -6.63, 0]),
    ...pair('toe', 'foot', [19, -6.63, 0]),
    ...pair('ankle', 'foot', [0, 0, 0]),
  ]),
} as Readonly<Record<MarkName, Mark>>;
