import type { DirectionName } from '../dose';
import type { MarkName, Pose, Vec } from './body';

/** Where the viewer stands. `above` looks down on somebody lying. */
export const VIEWS = ['side', 'front', 'quarter', 'back', 'above'] as const;
export type View = (typeof VIEWS)[number];

/** How much of the body the picture shows. */
export type Crop = 'whole' | 'upper';

/** A place a thing is at: on a mark of the body, or in the room (cm). */
export type Place = { readonly on: MarkName; readonly away?: Vec } | Vec;

/**
 * Something the exercise needs, drawn. Lengths in cm. A thing on a mark goes with the body; a thing
 * in the room stays.
 */
export type DrawnProp =
  | { readonly kind: 'wall'; readonly x: number; readonly from?: number; readonly to?: number }
  | { readonly kind: 'chair'; readonly x?: number; readonly back?: boolean }
  | { readonly kind: 'bed'; readonly x: readonly [number, number]; readonly top: number }
  | { readonly kind: 'mat'; readonly x: readonly [number, number] }
  | { readonly kind: 'bench'; readonly x: readonly [number, number]; readonly top: number }
  | { readonly kind: 'doorframe'; readonly x: number; readonly z: number }
  | { readonly kind: 'ball'; readonly at: Place; readonly radius: number }
  | { readonly kind: 'roll'; readonly at: Place; readonly radius: number }
  | {
      readonly kind: 'pad' | 'pillow' | 'block' | 'blanket' | 'weight';
      readonly at: Place;
      readonly size: Vec;
      /** What it does to the skin: said by a sign above it. */
      readonly feels?: 'warm' | 'cold';
    }
  | { readonly kind: 'wedge'; readonly x: number; readonly height: number; readonly length: number }
  | { readonly kind: 'band' | 'cloth' | 'strap'; readonly through: readonly Place[] };

/** Muscles that can be lit, each at its place on the body. */
export const MUSCLES = [
  'deep neck flexors',
  'neck flexors',
  'neck extensors',
  'suboccipitals',
  'side of neck',
  'upper trapezius',
  'between the blades',
  'lower trapezius',
  'chest',
  'serratus',
  'upper back',
  'low back',
  'belly',
  'side of trunk',
  'buttock',
  'front of hip',
  'front of thigh',
  'back of thigh',
  'calf',
  'upper arm',
  'forearm',
] as const;
export type Muscle = (typeof MUSCLES)[number];

export type Lit = {
  readonly muscle: Muscle;
  readonly as: 'working' | 'stretched';
  readonly side?: 'right' | 'left';
};

/**
 * A push that moves nothing, or against something that gives: the place of the body that presses on
 * what resists, and which way, in the room. `at` are the poses it is felt in, by their order; without
 * it all but the first.
 */
export type Push = {
  readonly from: MarkName;
  readonly way: Vec;
  readonly at?: readonly number[];
  /** The head that presses turns that way; `way` is then where it presses. */
  readonly turn?: 'right' | 'left';
};

/** The commonest fault, drawn beside the right form. */
export type DrawnFault = { readonly name: string; readonly pose: Pose };

/** A drawing of a clinic's own has at most so many poses: more are not read at a glance on a phone. */
export const MOST_OWN_POSES = 5;
/** And at most so many things, lit regions and pushes. */
export const MOST_OWN_THINGS = 8;
export const MOST_OWN_LIT = 12;
export const MOST_OWN_PUSHES = 6;

/** A pose shown at one of several places, and on which side. */
export type Stage = {
  readonly pose: number;
  /** Where a movement to that pose begins; a place that is only held has none. */
  readonly from?: number;
  readonly side?: 'right' | 'left';
  /** The direction it shows: a dose that names some finds its places by it. */
  readonly to?: DirectionName;
};

/**
 * Poses that are places, not a way to go: a six-way hold has one for each direction. The nth place
 * of the dose (its directions, its angles or barriers) shows the nth stage.
 */
export type Stages = {
  readonly by: 'direction' | 'station' | 'barrier';
  readonly at: readonly [Stage, ...Stage[]];
};

/**
 * An exercise as a drawing: two or more poses and how it goes from one to the next. A one-sided
 * exercise is described for the right.
 */
export type Figure = {
  readonly view: View;
  readonly crop: Crop;
  readonly poses: readonly [Pose, Pose, ...Pose[]];
  /** Goes round (first again after the last) or back the way it came. */
  readonly path: 'back' | 'round';
  /** What each pose is, in a few words for the description: "Start", "Tucked". */
  readonly names: readonly string[];
  readonly props: readonly DrawnProp[];
  readonly lit: readonly Lit[];
  readonly pushes: readonly Push[];
  readonly fault: DrawnFault | null;
  /** Done with the eyes closed. */
  readonly eyesClosed?: true;
  /** Null where the poses are one way from start to end. */
  readonly stages: Stages | null;
};
