import type { HandShape } from './hand-shape';
import type { MarkName } from './marks';
import type { Vec } from './vector';

/** A bend of the spine, in degrees: forward, to the right, turned to the right. */
export type Bend = { readonly flex: number; readonly side: number; readonly turn: number };

/**
 * Angles of a shoulder or hip in degrees: forward, out to its own side, turned outward about its
 * length; and how far the elbow or knee is bent.
 */
export type Limb = {
  readonly forward: number;
  readonly out: number;
  readonly spin: number;
  readonly bend: number;
  /** The wrist bent towards the palm, or the toes drawn up. */
  readonly end: number;
  /** The hand turned about the forearm: 0 with the thumb outward, 90 thumb forward, 180 thumb inward. */
  readonly twist: number;
  /** The hand bent to the thumb's side. */
  readonly tilt: number;
};

/** Where a palm or an ankle is: on a mark of the body, or at a place in the room, in cm. */
export type Goal = {
  readonly to: MarkName | Vec;
  /** Added to the mark, in the frame of the part that carries it. */
  readonly offset?: Vec;
  /** Where the elbow or knee points, in the room. */
  readonly pole: Vec;
  /** Which way the fingers go, in the room: for a palm that lies flat on something. */
  readonly flat?: Vec;
  /** Which way the palm looks, in the room, where neither the skin it lies on nor the floor says so. */
  readonly faces?: Vec;
};

export type LimbPose = (({ readonly by: 'angles' } & Limb) | ({ readonly by: 'goal' } & Goal)) & {
  /** What the hand does; without it as the hand of its place would. */
  readonly shape?: HandShape;
};

export type Pair<T> = { readonly right: T; readonly left: T };

/** A mark of the body that touches a plane of the room, in cm: `x` a wall, `y` floor or seat. */
export type Contact = {
  readonly mark: MarkName;
  readonly axis: 'x' | 'y';
  readonly at: number;
};

/** One position of the whole body. The first contact on each axis carries it. */
export type Pose = {
  /** The pelvis against the room: lying on the back is 90° back. */
  readonly pelvis: Bend;
  readonly lumbar: Bend;
  readonly thorax: Bend;
  /** The lower joint of the neck, against the trunk; upright neutral slopes 25° forward. */
  readonly neck: Bend;
  /** The upper joint, against the neck; upright neutral brings the head level again. */
  readonly head: Bend;
  /** The jaw opened, in degrees. */
  readonly jaw: number;
  /** Shoulder blades lifted and drawn back, in cm. */
  readonly blades: Pair<{ readonly up: number; readonly back: number }>;
  readonly arms: Pair<LimbPose>;
  readonly legs: Pair<LimbPose>;
  readonly contacts: readonly Contact[];
};
