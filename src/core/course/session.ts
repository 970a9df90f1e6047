import type { SkipReason, Soreness } from '../adherence';
import { type Dose, heldSeconds, repsOf } from '../dose';
import type { CountedSet } from '../history';
import { type LocalDate, shortDay, percentText } from '../units';

/** One session of one line, as progression reads it. */
export type SessionLog = {
  /** The session's own id: what happened in it is known by it. */
  readonly id: string;
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

/** So many times the most that is written is over-doing: it says nothing of the dose as it stands. Ours. */
export const OVERDONE = 1.25;

/** Left out for another reason than pain: says nothing of how the line is borne. */
export function isSkip(log: SessionLog): boolean {
  return log.skipped !== null && log.skipped !== 'pain' && log.share < 1;
}

/** Told to have been without trouble by the next morning, or to have settled by then. */
export function isSettled({ nextMorning }: Pick<SessionLog, 'nextMorning'>): boolean {
  return nextMorning === 'none' || nextMorning === 'settled';
}

/** Told to be still sore, worse, or in some trouble the next morning. */
export function isUnsettled({ nextMorning }: Pick<SessionLog, 'nextMorning'>): boolean {
  return nextMorning !== null && !isSettled({ nextMorning });
}

/** How it was borne was told: during it, and the next morning. Nothing told is not good news. */
export function isTold({ pain, effort, nextMorning }: SessionLog): boolean {
  return (pain !== null || effort !== null) && nextMorning !== null;
}

/** The most a dose asks, as a multiple of the least. */
function widthOf(dose: Dose): number {
  const { least, most } = heldSeconds(dose) ?? repsOf(dose);
  return least > 0 ? most / least : 1;
}

/** True where more was done than the dose allows. @example isOverdone({ share: 2, … }, parse('10x10s')) */
export function isOverdone({ share }: Pick<SessionLog, 'share'>, dose: Dose): boolean {
  return share > widthOf(dose) * OVERDONE;
}

/**
 * What one session is worth as evidence. A session is good only where it was told to be: done in full
 * and no more than that, no harder than well in hand, pain green, or amber and settled; and the next
 * morning told without trouble. Done without a word is done, not good.
 */
export type Worth = 'good' | 'untold' | 'left out' | 'not good';

/** What speaks against a session as evidence. */
type Against =
  | 'stopped'
  | 'left out for pain'
  | 'not in full'
  | 'overdone'
  | 'red light'
  | 'trouble the morning after'
  | 'hard';

/** What speaks against a session; null where it was good, or nothing is known against it. */
function against(log: SessionLog, dose: Dose): Against | null {
  const { share, effort, pain } = log;
  if (isSkip(log)) return null;
  if (log.stopped !== 'no') return 'stopped';
  if (log.skipped === 'pain' && share < 1) return 'left out for pain';
  if (share < 1) return 'not in full';
  if (isOverdone(log, dose)) return 'overdone';
  if (pain !== null && lightOf(pain) === 'red') return 'red light';
  if (isUnsettled(log)) return 'trouble the morning after';
  return effort !== null && effort > HARD_EFFORT ? 'hard' : null;
}

/**
 * Why a session was not good, with its number; null where it was, or nothing is known against it.
 *
 * @example whyNotGood({ …, share: 0.6, date }, dose) // "60 % of it done on 2026-10-03"
 */
export function whyNotGood(log: SessionLog, dose: Dose): string | null {
  const why = against(log, dose);
  if (why === null) return null;
  const { share, effort, pain } = log;
  const day = shortDay(log.date);
  switch (why) {
    case 'stopped':
      return `stopped on ${day}`;
    case 'left out for pain':
      return `left out for pain on ${day}`;
    case 'not in full':
      return `${percentText(share)} of it done on ${day}`;
    case 'overdone':
      return `${percentText(share)} of it done on ${day}, more than is written: ask for it as written`;
    case 'red light':
      return `pain ${pain} of 10 on ${day}`;
    case 'trouble the morning after':
      return `trouble the morning after ${day}`;
    case 'hard':
      return `effort ${effort} of 10 on ${day}`;
  }
}

/** @example worthOf({ …tenOfTen, pain: 1, nextMorning: null }, dose) // 'untold' */
export function worthOf(log: SessionLog, dose: Dose): Worth {
  if (isSkip(log)) return 'left out';
  if (against(log, dose) !== null) return 'not good';
  return isTold(log) ? 'good' : 'untold';
}
