import type { Vec } from './vector';

/** What a hand does with its fingers. */
export const HAND_SHAPES = [
  'flat',
  'resting',
  'cupped',
  'hooked',
  'fist',
  'two fingers',
  'grip',
] as const;
export type HandShape = (typeof HAND_SHAPES)[number];

type Hand = {
  /** What touches, from the wrist in the hand's frame, in cm. */
  readonly touches: Vec;
  /** The palm lies on the surface; otherwise the hand points at it. */
  readonly lies: boolean;
};

export const HANDS: Readonly<Record<HandShape, Hand>> = {
  flat: { touches: [1.7, -8, 0], lies: true },
  resting: { touches: [1.9, -8.5, 0], lies: true },
  cupped: { touches: [2.4, -9.5, 0], lies: true },
  hooked: { touches: [2.6, -10.5, 0], lies: true },
  fist: { touches: [1.2, -10.8, 0], lies: false },
  'two fingers': { touches: [0.6, -17.6, 1.9], lies: false },
  grip: { touches: [1.8, -8.4, 0], lies: false },
};
