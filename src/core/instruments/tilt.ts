import { type Degrees, arcCosine, degrees } from '../units';

/** A phone's orientation as browsers tell it (W3C DeviceOrientation), degrees. */
export type Orientation = { readonly alpha: number; readonly beta: number; readonly gamma: number };

const TO_RADIANS = Math.PI / 180;

/** The direction "down" as the phone feels it; the turn about the plumb line (alpha) leaves it alone. */
function down({ beta, gamma }: Orientation): readonly [number, number, number] {
  const [b, g] = [beta * TO_RADIANS, gamma * TO_RADIANS];
  return [Math.cos(b) * Math.sin(g), -Math.sin(b), -Math.cos(b) * Math.cos(g)];
}

/**
 * How far the phone was tilted from its zero, in whatever upright plane: the angle between the two
 * directions of gravity. It cannot see a turn about the plumb line; a turn of the head is measured
 * lying down.
 *
 * @returns 0–180
 * @example tiltFrom({ alpha: 0, beta: 0, gamma: 0 }, { alpha: 90, beta: 30, gamma: 0 }) // 30
 */
export function tiltFrom(zero: Orientation, now: Orientation): Degrees {
  const [a, b] = [down(zero), down(now)];
  const dot = a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
  return degrees(arcCosine(dot) / TO_RADIANS);
}
