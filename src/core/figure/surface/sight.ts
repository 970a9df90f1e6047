import { type Frame, type Vec, turn } from '../body';
import { type Camera, type Seen, see } from '../drawing/view';

/** A part of the body as a viewer sees it: where its joint is, and how a centimetre along each of its axes looks. */
export type Sight = {
  readonly at: Seen;
  readonly x: Seen;
  readonly y: Seen;
  readonly z: Seen;
};

/** Reckoned once for a part, so that each of its many points costs nine products. */
export function sightOf(camera: Camera, frame: Frame): Sight {
  const along = (axis: Vec): Seen => see(camera, turn(frame.turn, axis));
  return {
    at: see(camera, frame.at),
    x: along([1, 0, 0]),
    y: along([0, 1, 0]),
    z: along([0, 0, 1]),
  };
}

/** A point of a part, in cm, on the sheet. */
export function place({ at, x, y, z }: Sight, [a, b, c]: Vec): Seen {
  return [
    at[0] + a * x[0] + b * y[0] + c * z[0],
    at[1] + a * x[1] + b * y[1] + c * z[1],
    at[2] + a * x[2] + b * y[2] + c * z[2],
  ];
}

/** A direction of a part on the sheet; its third number is how much it looks at the viewer, −1 to 1. */
export function along({ x, y, z }: Sight, [a, b, c]: Vec): Seen {
  return [
    a * x[0] + b * y[0] + c * z[0],
    a * x[1] + b * y[1] + c * z[1],
    a * x[2] + b * y[2] + c * z[2],
  ];
}
