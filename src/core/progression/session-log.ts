import type { Soreness, SkipReason } from '../adherence';
import type { CountedSet } from '../history';
import type { LocalDate } from '../units';

/** One session of one line under its present dose, as progression reads it. */
export type SessionLog = {
  readonly date: LocalDate;
  /** Share of the least dose, uncapped. */
  readonly share: number;
  /** Repetitions of each set on the poorer side. */
  readonly sets: readonly number[];
  /** The sets that the patient counted, with what was lifted; left out where none was. */
  readonly counted?: readonly CountedSet[] | undefined;
  /** The middle one of the holds, seconds; null where nothing is held. */
  readonly hold: number | null;
  /** How hard it felt, 0–10; null when not told. */
  readonly effort: number | null;
  /** During and right after, 0–10; null when not told. */
  readonly pain: number | null;
  /** Of the next morning; null when not told. */
  readonly nextMorning: Soreness | null;
  readonly skipped: SkipReason | null;
  /** Stopped because something felt wrong; it stands until a clinician lets the programme go on. */
  readonly stopped: 'no' | 'stands' | 'let go on';
};

/** Traffic light during exercise (Thomeé 1997; memory): up to 2 safe, up to 5 acceptable, over it too much. */
export const LIGHTS = { green: 2, amber: 5 } as const;
export type Light = 'green' | 'amber' | 'red';

/** @example lightOf(4) // 'amber' */
export function lightOf(pain: number): Light {
  if (pain <= LIGHTS.green) return 'green';
  return pain <= LIGHTS.amber ? 'amber' : 'red';
}

/** Harder than this is done, but not well in hand. Common practice, no source. */
export const HARD_EFFORT = 7;

/** Left out for another reason than pain: says nothing of how the line is borne. */
export function isSkip(log: SessionLog): boolean {
  return log.skipped !== null && log.skipped !== 'pain' && log.share < 1;
}

/** Settled by the next morning, or not told to be otherwise. */
export function isSettled({ nextMorning }: SessionLog): boolean {
  return nextMorning === null || nextMorning === 'none' || nextMorning === 'settled';
}

/**
 * A good session: the dose done in full, no harder than well in hand, pain green, or amber and told
 * to have settled by the next morning.
 */
export function isGood(log: SessionLog): boolean {
  const { share, effort, pain, nextMorning } = log;
  if (share < 1 || log.stopped !== 'no' || !isSettled(log)) return false;
  if (effort !== null && effort > HARD_EFFORT) return false;
  const light = lightOf(pain ?? 0);
  return light === 'green' || (light === 'amber' && nextMorning !== null);
}

/** Good sessions in a row up to the newest; a skip for another reason than pain neither counts nor breaks. */
export function goodInARow(logs: readonly SessionLog[]): number {
  let count = 0;
  for (const log of [...logs].reverse()) {
    if (isSkip(log)) continue;
    if (!isGood(log)) break;
    count += 1;
  }
  return count;
}
