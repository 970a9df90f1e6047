import { MARKS, type MarkName, type Part } from './marks';
import type { Limb } from './pose';
import { type Turn, type Vec, about, add, compose, turn } from './vector';

const X: Vec = [1, 0, 0];
const Y: Vec = [0, 1, 0];
const Z: Vec = [0, 0, 1];

/** Where a part begins and how it is turned. */
export type Frame = { readonly at: Vec; readonly turn: Turn };

/** The rotation of a shoulder or hip; `hand` is 1 on the right, −1 on the left. */
export function limbTurn({ forward, out, spin }: Limb, hand: 1 | -1): Turn {
  return compose(compose(about(Z, forward), about(X, -out * hand)), about(Y, -spin * hand));
}

/** The place of a mark in the room. */
export function markAt(frames: Readonly<Record<Part, Frame>>, name: MarkName): Vec {
  const mark = MARKS[name];
  const frame = frames[mark.part];
  return add(frame.at, turn(frame.turn, mark.at));
}
