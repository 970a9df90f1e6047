import { type Bend, NECK_SLOPE_DEG, type Pose } from '../figure';
import { asFarAsItGoes } from './range';

/** What a slider sets: degrees, or centimetres for the shoulder blades. */
export const SLIDERS = [
  'head slid forward',
  'chin down',
  'head turned right',
  'head bent right',
  'jaw open',
  'trunk bent forward',
  'trunk bent right',
  'trunk turned right',
  'shoulder blades up',
  'shoulder blades back',
  'body tipped forward',
  'body tipped right',
  'body turned right',
] as const;
export type Slider = (typeof SLIDERS)[number];

type Setting = {
  readonly unit: '°' | 'cm';
  readonly least: number;
  readonly most: number;
  readonly read: (pose: Pose) => number;
  readonly write: (pose: Pose, value: number) => Pose;
};

/** How a movement of the neck is shared out between its lower and upper joint, and of the trunk. */
const LOWER = { side: 0.65, turn: 0.45 } as const;
const LUMBAR = { flex: 0.5, side: 0.5, turn: 0.2 } as const;

const shared = (
  joints: readonly ['neck', 'head'] | readonly ['lumbar', 'thorax'],
  way: keyof Bend,
  first: number,
  least: number,
  most: number,
): Setting => ({
  unit: '°',
  least,
  most,
  read: (pose) => pose[joints[0]][way] + pose[joints[1]][way],
  // What the two do against each other stays.
  write: (pose, value) => {
    const by = value - pose[joints[0]][way] - pose[joints[1]][way];
    return {
      ...pose,
      [joints[0]]: { ...pose[joints[0]], [way]: pose[joints[0]][way] + by * first },
      [joints[1]]: { ...pose[joints[1]], [way]: pose[joints[1]][way] + by * (1 - first) },
    };
  },
});

const body = (way: keyof Bend, sign: 1 | -1, least: number, most: number): Setting => ({
  unit: '°',
  least,
  most,
  read: (pose) => pose.pelvis[way] * sign,
  write: (pose, value) => ({ ...pose, pelvis: { ...pose.pelvis, [way]: value * sign } }),
});

const blades = (way: 'up' | 'back', least: number, most: number): Setting => ({
  unit: 'cm',
  least,
  most,
  read: ({ blades: { right, left } }) => (right[way] + left[way]) / 2,
  write: (pose, value) => ({
    ...pose,
    blades: {
      right: { ...pose.blades.right, [way]: value },
      left: { ...pose.blades.left, [way]: value },
    },
  }),
});

export const SETTINGS: Readonly<Record<Slider, Setting>> = {
  // The face stays as level as it was: the upper joint gives back what the lower one takes.
  'head slid forward': {
    unit: '°',
    least: -25,
    most: 35,
    read: ({ neck }) => neck.flex - NECK_SLOPE_DEG,
    write: (pose, value) => {
      const low = value + NECK_SLOPE_DEG;
      return {
        ...pose,
        neck: { ...pose.neck, flex: low },
        head: { ...pose.head, flex: pose.head.flex + pose.neck.flex - low },
      };
    },
  },
  'chin down': {
    unit: '°',
    least: -60,
    most: 45,
    read: ({ neck, head }) => neck.flex + head.flex,
    write: (pose, value) => ({ ...pose, head: { ...pose.head, flex: value - pose.neck.flex } }),
  },
  'head turned right': shared(['neck', 'head'], 'turn', LOWER.turn, -80, 80),
  'head bent right': shared(['neck', 'head'], 'side', LOWER.side, -45, 45),
  'jaw open': {
    unit: '°',
    least: 0,
    most: 25,
    read: ({ jaw }) => jaw,
    write: (pose, value) => ({ ...pose, jaw: value }),
  },
  'trunk bent forward': shared(['lumbar', 'thorax'], 'flex', LUMBAR.flex, -45, 100),
  'trunk bent right': shared(['lumbar', 'thorax'], 'side', LUMBAR.side, -45, 45),
  'trunk turned right': shared(['lumbar', 'thorax'], 'turn', LUMBAR.turn, -45, 45),
  'shoulder blades up': blades('up', -2, 7),
  'shoulder blades back': blades('back', -4, 4),
  'body tipped forward': body('flex', 1, -120, 120),
  'body tipped right': body('side', 1, -90, 90),
  'body turned right': body('turn', 1, -90, 90),
};

/** A slider's value in a pose, to a tenth. */
export function sliderOf(pose: Pose, slider: Slider): number {
  return Math.round(SETTINGS[slider].read(pose) * 10) / 10;
}

/** A pose with one slider set, as far as joints go. */
export function setSlider(pose: Pose, slider: Slider, value: number): Pose {
  const { read, write, least, most } = SETTINGS[slider];
  const from = read(pose);
  const to = Math.min(most, Math.max(least, value));
  return asFarAsItGoes(pose, (share) => write(pose, from + (to - from) * share));
}

/** So much more of it, within the slider's own bounds; joints are looked at by who asks. */
export function addedTo(pose: Pose, slider: Slider, by: number): Pose {
  const { read, write, least, most } = SETTINGS[slider];
  if (by === 0) return pose;
  const from = read(pose);
  // What is beyond the bounds already only comes back.
  const to = Math.min(Math.max(most, from), Math.max(Math.min(least, from), from + by));
  return write(pose, to);
}
