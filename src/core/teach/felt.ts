import type { Muscle } from '../figure';
import { type BodyPart, type RegionId, partOf } from '../symptoms';

/** Where work or stretch of a muscle is felt on the drawn body. Plain surface anatomy, from memory. */
const FELT_AT: Readonly<Record<Muscle, readonly BodyPart[]>> = {
  'deep neck flexors': ['neck', 'head'],
  'neck flexors': ['neck'],
  'neck extensors': ['neck', 'upper back'],
  suboccipitals: ['head', 'neck'],
  'side of neck': ['neck', 'shoulder'],
  'upper trapezius': ['neck', 'shoulder', 'upper back'],
  'between the blades': ['upper back', 'shoulder'],
  'lower trapezius': ['upper back', 'low back'],
  chest: ['chest', 'shoulder'],
  serratus: ['chest', 'upper back'],
  'upper back': ['upper back', 'neck'],
  'low back': ['low back', 'buttock'],
  belly: ['chest', 'low back'],
  'side of trunk': ['low back', 'chest'],
  buttock: ['buttock', 'low back'],
  'front of hip': ['thigh', 'buttock'],
  'front of thigh': ['thigh', 'knee'],
  'back of thigh': ['thigh', 'buttock', 'knee'],
  calf: ['calf', 'foot'],
  'upper arm': ['upper arm', 'shoulder', 'elbow'],
  forearm: ['forearm', 'elbow', 'hand'],
};

/** The parts where an exercise that lights these muscles may be felt. */
export function expectedParts(muscles: readonly Muscle[]): BodyPart[] {
  return [...new Set(muscles.flatMap((muscle) => FELT_AT[muscle]))];
}

export type FeltVerdict =
  | 'not asked'
  | 'as expected'
  | 'partly elsewhere'
  | 'elsewhere'
  | 'unknown';

/**
 * Where the patient pointed, against where it should be felt.
 *
 * @param expected parts where it should be felt; empty when nobody knows (a clinic's own exercise)
 * @example feltVerdict(['neck'], ['front left neck']) // 'as expected'
 */
export function feltVerdict(expected: readonly BodyPart[], felt: readonly RegionId[]): FeltVerdict {
  if (felt.length === 0) return 'not asked';
  if (expected.length === 0) return 'unknown';
  const right = felt.filter((region) => expected.includes(partOf(region)));
  if (right.length === felt.length) return 'as expected';
  return right.length > 0 ? 'partly elsewhere' : 'elsewhere';
}

/** The verdict as a clinician reads it. */
export function feltWords(verdict: FeltVerdict, expected: readonly BodyPart[]): string {
  switch (verdict) {
    case 'not asked':
      return 'Not asked yet.';
    case 'as expected':
      return 'Where it should be felt.';
    case 'partly elsewhere':
      return `Also elsewhere than expected (${expected.join(', ')}): look again at the set-up.`;
    case 'elsewhere':
      return `Not where it should be felt (${expected.join(', ')}): look again at the set-up.`;
    case 'unknown':
      return 'Marked; this exercise does not say where it should be felt.';
  }
}
