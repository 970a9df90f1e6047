import {
  type Base,
  type Bend,
  type Contact,
  type DrawnProp,
  type Figure,
  type HandShape,
  type Lit,
  type LimbPose,
  type MarkName,
  type Muscle,
  type Pair,
  type Pose,
  type Push,
  type Vec,
  BASE_POSES,
  angles,
  SKULL_CM,
  mirrorMark,
  mirrorVec,
  skeletonOf,
  trunkMark,
} from '@/core/figure';

export { angles };

/** Head and neck as a clinician says it. */
export type HeadAt = {
  /** Slid back: 1 is a full tuck, 0 neutral, −1 poked out. */
  readonly back?: number;
  /** Chin down (+) or up (−), in degrees. */
  readonly nod?: number;
  /** Bent to the right, in degrees. */
  readonly side?: number;
  /** Turned to the right, in degrees. */
  readonly turn?: number;
};

type Limbs = { readonly right?: LimbPose; readonly left?: LimbPose };

/** What a pose changes of the place it starts from. Bends in degrees. */
export type Change = {
  readonly pelvis?: Partial<Bend>;
  readonly lumbar?: Partial<Bend>;
  readonly thorax?: Partial<Bend>;
  readonly head?: HeadAt;
  readonly jaw?: number;
  readonly blades?: { readonly up?: number; readonly back?: number };
  readonly arms?: LimbPose | Limbs;
  readonly legs?: LimbPose | Limbs;
  readonly contacts?: readonly Contact[];
  readonly grip?: boolean;
};

/** How far the lower joint goes from neutral to a full tuck, and to a full poke, in degrees. */
const TUCK = 21;
const POKE = 30;
/** A poke beyond the full one, as far as a neck goes. */
const FARTHEST_FORWARD = -1.33;

export function pose(base: Base, change: Change = {}): Pose {
  return changed(BASE_POSES[base], change);
}

export function changed(from: Pose, change: Change): Pose {
  const blades = {
    up: change.blades?.up ?? from.blades.right.up,
    back: change.blades?.back ?? from.blades.right.back,
  };
  return {
    ...from,
    pelvis: { ...from.pelvis, ...change.pelvis },
    lumbar: { ...from.lumbar, ...change.lumbar },
    thorax: { ...from.thorax, ...change.thorax },
    ...headAt(from, change.head),
    jaw: change.jaw ?? from.jaw,
    blades: { right: blades, left: blades },
    arms: held(limbs(from.arms, change.arms), change.grip),
    legs: limbs(from.legs, change.legs),
    contacts: change.contacts ?? from.contacts,
  };
}

/** The two joints of the neck that together bring the head there. */
function headAt(from: Pose, head: HeadAt | undefined): Pick<Pose, 'neck' | 'head'> {
  if (!head) return { neck: from.neck, head: from.head };
  const { back = 0, nod = 0, side = 0, turn = 0 } = head;
  const level = from.neck.flex + from.head.flex;
  const low = from.neck.flex - back * (back > 0 ? TUCK : POKE);
  return {
    neck: { flex: low, side: side * 0.65, turn: turn * 0.45 },
    head: { flex: level - low + nod, side: side * 0.35, turn: turn * 0.55 },
  };
}

function limbs(from: Pair<LimbPose>, change: LimbPose | Limbs | undefined): Pair<LimbPose> {
  if (!change) return from;
  if ('by' in change) return { right: change, left: change };
  return { right: change.right ?? from.right, left: change.left ?? from.left };
}

/** Hands closed round what they hold, unless one does something else. */
function held(arms: Pair<LimbPose>, grip: boolean | undefined): Pair<LimbPose> {
  if (!grip) return arms;
  const one = (arm: LimbPose): LimbPose => ({ ...arm, shape: arm.shape ?? 'grip' });
  return { right: one(arms.right), left: one(arms.left) };
}

type More = {
  readonly away?: Vec;
  readonly pole?: Vec;
  readonly flat?: Vec;
  readonly faces?: Vec;
  readonly shape?: HandShape;
};

/** A palm on a mark or at a place in the room; elbow down and out unless said otherwise. */
export function hand(
  to: MarkName | Vec,
  { away, pole = [-0.4, -1, 0.6], flat, faces, shape }: More = {},
): LimbPose {
  return {
    by: 'goal',
    to,
    pole,
    ...(shape ? { shape } : {}),
    ...(faces ? { faces } : {}),
    ...(away ? { offset: away } : {}),
    ...(flat ? { flat } : {}),
  };
}

/**
 * The left forearm of somebody on that side, on the floor under the shoulder. Its hand lies out towards the
 * head: straight before the body it points at whoever looks from the front, and was taken for a stump.
 */
export function onLeftForearm(body: Pose): LimbPose {
  const { frames } = skeletonOf(body);
  const [x, , z] = frames.upperArmLeft.at;
  const headward = Math.sign(z - frames.pelvis.at[2]);
  return hand([x + 20, 1, z + headward * 25], { pole: [-1, -1, 0], flat: [1, 0, headward] });
}

/** Both hands the same way: described for the right. */
export function hands(to: MarkName | Vec, more: More = {}): Limbs {
  const { away, pole = [-0.4, -1, 0.6], flat, faces, shape } = more;
  return {
    right: hand(to, more),
    left: hand(typeof to === 'string' ? mirrorMark(to) : mirrorVec(to), {
      pole: mirrorVec(pole),
      ...(away ? { away: mirrorVec(away) } : {}),
      ...(flat ? { flat: mirrorVec(flat) } : {}),
      ...(faces ? { faces: mirrorVec(faces) } : {}),
      ...(shape ? { shape } : {}),
    }),
  };
}

/** An ankle at a place in the room, the knee in front. */
export function ankle(to: Vec, along: Vec = [1, 0, 0], pole: Vec = [1, 1, 0]): LimbPose {
  return { by: 'goal', to, pole, flat: along };
}

export const on = (mark: Contact['mark'], axis: 'x' | 'y', at = 0): Contact => ({ mark, axis, at });

type Given = Partial<
  Pick<Figure, 'crop' | 'path' | 'props' | 'pushes' | 'stages' | 'eyesClosed'>
> & {
  readonly view?: Figure['view'];
  /** Words for each pose, and the pose. */
  readonly poses: Readonly<Record<string, Pose>>;
  readonly works?: readonly (Muscle | Lit)[];
  readonly stretches?: readonly (Muscle | Lit)[];
  readonly fault?: readonly [name: string, pose: Pose];
};

export function figure(given: Given): Figure {
  const { view = 'side', crop = 'whole', path = 'back', props = [], pushes = [], fault } = given;
  const lit = (muscles: readonly (Muscle | Lit)[] | undefined, as: Lit['as']): Lit[] =>
    (muscles ?? []).map((one) => (typeof one === 'string' ? { muscle: one, as } : one));
  return {
    view,
    crop,
    path,
    poses: Object.values(given.poses) as unknown as Figure['poses'],
    names: Object.keys(given.poses),
    props,
    lit: [...lit(given.works, 'working'), ...lit(given.stretches, 'stretched')],
    pushes,
    fault: fault ? { name: fault[0], pose: fault[1] } : null,
    stages: given.stages ?? null,
    ...(given.eyesClosed ? { eyesClosed: true } : {}),
  };
}

export const right = (muscle: Muscle, as: Lit['as'] = 'working'): Lit => ({
  muscle,
  as,
  side: 'right',
});
export const left = (muscle: Muscle, as: Lit['as'] = 'working'): Lit => ({
  muscle,
  as,
  side: 'left',
});
/** A push from a place of the body, felt in the poses of those numbers, or in all but the first. */
export const push = (from: Push['from'], way: Vec, ...at: number[]): Push =>
  at.length > 0 ? { from, way, at } : { from, way };

/**
 * The head laid on something so high, nodded so far: the lower joint is found that brings the round
 * of the skull down to it (by halving: the head comes down as the neck goes back).
 *
 * @param high height of what the head lies on, in cm
 * @param nod chin down (+) or up (−), in degrees
 */
export function headOn(from: Pose, high: number, nod = 0, more: HeadAt = {}): Pose {
  let [low, top] = [-1.6, 1.6];
  const at = (back: number) => changed(from, { head: { ...more, back, nod } });
  const down = trunkMark(at(1.6), 'skull')[1];
  const up = trunkMark(at(-1.6), 'skull')[1];
  for (let i = 0; i < 24; i += 1) {
    const middle = (low + top) / 2;
    const height = trunkMark(at(middle), 'skull')[1] - SKULL_CM;
    if (height > high === up > down) low = middle;
    else top = middle;
  }
  // A head that should come higher than its lower joint goes needs the trunk to lift it.
  const laid = at(Math.max(FARTHEST_FORWARD, (low + top) / 2));
  return { ...laid, contacts: [...laid.contacts, on('skull', 'y', high + SKULL_CM)] };
}

/**
 * The back of the head brought to something upright behind: the lower joint is found that takes it
 * there (by halving).
 *
 * @param x where its face is, in cm
 */
export function headBackTo(from: Pose, x: number, nod = 0): Pose {
  let [low, high] = [-1.2, 1.2];
  for (let i = 0; i < 24; i += 1) {
    const middle = (low + high) / 2;
    const at = changed(from, { head: { back: middle, nod } });
    if (trunkMark(at, 'occiput')[0] > x) low = middle;
    else high = middle;
  }
  return changed(from, { head: { back: (low + high) / 2, nod } });
}

/** A pillow under the head of somebody lying. */
export function pillowUnder(pose: Pose, high: number, long = 30): DrawnProp {
  const [x] = trunkMark(pose, 'skull');
  return { kind: 'pillow', at: [x + 2, high / 2, 0], size: [long, high + 0.6, 40] };
}

export const CHAIR: DrawnProp = { kind: 'chair' };
export const MAT: DrawnProp = { kind: 'mat', x: [-86, 92] };

/** A band round the back of the head, both ends held in front. */
export const HEAD_BAND: DrawnProp = {
  kind: 'band',
  through: [
    { on: 'palmRight' },
    { on: 'sideOfHeadRight' },
    { on: 'upperOcciput' },
    { on: 'sideOfHeadLeft' },
    { on: 'palmLeft' },
  ],
};
export const HOLD_BAND = { arms: hands([34, 106, 12], { pole: [0, -1, 0.5] }), grip: true };
