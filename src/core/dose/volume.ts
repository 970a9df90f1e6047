import { type Range, type Seconds, exactly, seconds } from '../units';
import { directionsOf } from './directions';
import type { Dose, Head } from './model';

/** Repetitions that "max" may come to while nobody has counted one yet. Common practice, no source. */
const MAX_REPS: Range = { least: 1, most: 20 };

/** How far the next count may be from the last one, as a share of it. Common practice, no source. */
const MAX_SPREAD = 0.25;

/**
 * Repetitions that a set done until form fails may come to.
 *
 * @param last what was counted the last time; null when nothing was
 * @example maxReps(null) // 1–20
 * @example maxReps(12) // 9–15
 */
export function maxReps(last: number | null): Range {
  if (last === null) return MAX_REPS;
  return {
    least: Math.max(1, Math.floor(last * (1 - MAX_SPREAD))),
    most: Math.max(2, Math.ceil(last * (1 + MAX_SPREAD))),
  };
}

/** True for a set that is done until form fails, counted by the patient. */
export function isUntilFormFails(head: Head, set: number): boolean {
  return head.kind === 'pyramid' && head.reps[set] === 'max';
}

/** True for a dose some set of which is done until form fails. */
export function hasMax({ head }: Pick<Dose, 'head'>): boolean {
  return head.kind === 'pyramid' && head.reps.includes('max');
}

/** Sets in one block. @example setsOf(3x10) // 3 */
export function setsOf(head: Head): Range {
  switch (head.kind) {
    case 'bouts':
      return exactly(1);
    case 'sets':
      return head.sets;
    case 'pyramid':
      return exactly(head.reps.length);
  }
}

/**
 * Repetitions of the set with this index (0-based).
 *
 * @param last what was counted the last time in a set done until form fails
 */
export function repsOfSet(head: Head, set: number, last: number | null = null): Range {
  switch (head.kind) {
    case 'bouts':
      return head.bouts;
    case 'sets':
      return head.reps;
    case 'pyramid': {
      const reps = head.reps[set] ?? 0;
      return reps === 'max' ? maxReps(last) : exactly(reps);
    }
  }
}

/** How often the sets are repeated at angles or degrees; barriers are inside a repetition. */
export function stationsOf(dose: Dose): number {
  const { stations } = dose;
  if (stations?.kind === 'angles') return stations.count;
  if (stations?.kind === 'degrees') return stations.degrees.length;
  return 1;
}

/** Holds inside one repetition. */
export function barriersOf(dose: Dose): number {
  return dose.stations?.kind === 'barriers' ? dose.stations.count : 1;
}

/** Sides that are worked in turn. */
export function sidesOf(dose: Dose): 1 | 2 {
  return dose.side === 'each' || dose.side === 'alternating' ? 2 : 1;
}

/** Blocks on one side: sets × directions × angles. */
export function blocksOf(dose: Dose): Range {
  const sets = setsOf(dose.head);
  const times = directionsOf(dose) * stationsOf(dose);
  return { least: sets.least * times, most: sets.most * times };
}

/** Repetitions or bouts in one session, over sets, directions, angles and sides. */
export function repsOf(dose: Dose): Range {
  const times = directionsOf(dose) * stationsOf(dose) * sidesOf(dose);
  const sets = setsOf(dose.head);
  let least = 0;
  let most = 0;
  for (let set = 0; set < sets.most; set += 1) {
    const reps = repsOfSet(dose.head, set);
    if (set < sets.least) least += reps.least;
    most += reps.most;
  }
  return { least: least * times, most: most * times };
}

/** The written length of one hold or bout; null when repetitions are moved, not held. */
export function holdOf(dose: Dose): Range<Seconds> | null {
  if (dose.head.kind === 'bouts') return dose.head.span;
  return dose.hold ?? null;
}

/**
 * Seconds held (or spent in bouts) in one session; null when nothing is timed.
 *
 * @example heldSeconds('3x10s in 6 directions') // 180
 */
export function heldSeconds(dose: Dose): Range<Seconds> | null {
  const hold = holdOf(dose);
  if (hold === null) return null;
  const reps = repsOf(dose);
  const barriers = barriersOf(dose);
  return {
    least: seconds(reps.least * barriers * hold.least),
    most: seconds(reps.most * barriers * hold.most),
  };
}
