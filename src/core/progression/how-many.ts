import { type Dose, hasMax } from '../dose';
import type { SchoolId } from '../exercise';
import { isExact } from '../units';

/** What the patient is asked after a set. */
export type HowMany = {
  /** Sides alternate within the set, so that one number says both. */
  readonly alternating: boolean;
  /** The unit of the weight that is noted; null where nothing is lifted. */
  readonly unit: 'kg' | 'lb' | null;
};

/** Schools that read how many repetitions a set came to. Common practice, no source. */
const COUNTING: ReadonlySet<SchoolId> = new Set([
  'volume-load',
  'ascending',
  'descending-load',
  'adjustable',
]);

/**
 * Whether the patient has to say how many they did, and of what: where the dose leaves it open (a
 * range of repetitions, until form fails), something is lifted, or the school goes by it. Bouts are
 * counted by the clock that times them.
 *
 * @returns null where the player's own count is enough
 */
export function howMany(dose: Dose, school: SchoolId | null): HowMany | null {
  const { head, load, side } = dose;
  if (head.kind === 'bouts') return null;
  const open = hasMax(dose) || (head.kind === 'sets' && !isExact(head.reps));
  const reads = school !== null && COUNTING.has(school);
  if (!open && load === undefined && !reads) return null;
  const unit = load === undefined ? null : load.kind === 'weight' ? load.unit : 'kg';
  return { alternating: side === 'alternating', unit };
}
