import { jointsBeyond, type Pose, skeletonOf, type Vec } from '../figure';
import { toHundredth, toTenth } from '../units';

/** A hand or foot so far from where it is asked to be is as good as there, in cm. */
const THERE_CM = 0.5;
/** Halvings of a move that goes too far: to a thirtieth of it. */
const HALVINGS = 5;

/**
 * How far a move can go: all of it, or as much as joints and reach allow. What was already amiss
 * (data from elsewhere) may stay as it is, but gets no worse.
 *
 * @param move the pose after a share of the move, 0–1
 */
export function asFarAsItGoes(before: Pose, move: (share: number) => Pose): Pose {
  const beyond = jointsBeyond(before);
  const most = Math.max(THERE_CM, skeletonOf(before).missed);
  const can = (pose: Pose) =>
    skeletonOf(pose).missed <= most + 1e-6 &&
    jointsBeyond(pose).every((now) =>
      beyond.some(({ joint, way }) => joint === now.joint && way === now.way),
    );
  const whole = move(1);
  if (can(whole)) return rounded(whole);
  let [low, high] = [0, 1];
  let found = before;
  for (let i = 0; i < HALVINGS; i += 1) {
    const share = (low + high) / 2;
    const pose = move(share);
    if (can(pose)) {
      found = pose;
      low = share;
    } else high = share;
  }
  return rounded(found);
}

/** To a tenth of a degree or centimetre: finer is not seen, and it keeps the data short. */
export function rounded<T>(value: T): T {
  if (typeof value === 'number') return (toTenth(value) + 0) as T;
  if (Array.isArray(value)) return value.map(rounded) as T;
  if (typeof value === 'object' && value !== null)
    return Object.fromEntries(
      Object.entries(value as Readonly<Record<string, unknown>>).map(([key, one]) => [
        key,
        key === 'pole' ? direction(one as Vec) : rounded(one),
      ]),
    ) as T;
  return value;
}

/** A direction keeps hundredths: only its way counts, and it may be short. */
const direction = (vec: Vec) => vec.map((part) => toHundredth(part) + 0);
