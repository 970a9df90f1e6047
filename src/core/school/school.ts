import { type Dose, holdOf } from '../dose';
import type { Exercise, SchoolId } from '../exercise';
import type { SchoolSettings } from './settings';

export type Phase = { readonly fromDay: number; readonly dose: string; readonly why: string };

/** Where a school's doses end; null where it sets no end of its own. */
export type SchoolBounds = {
  /** Seconds of one hold; `bouts` where a bout of its own length may not go beyond them either. */
  readonly hold: { readonly most: number; readonly bouts: boolean } | null;
  /** Repetitions of a session. */
  readonly volume: number | null;
  /** Percent of the maximum push. */
  readonly effortPercent: number | null;
};

export const NO_BOUNDS: SchoolBounds = { hold: null, volume: null, effortPercent: null };

/**
 * A school of progression as a clinician chooses it: what it is, what it can be asked of, where it
 * starts and where it ends. How a line moves by it is its rule (`core/progression`, `SchoolRule`), which
 * no desk needs to write a line.
 */
export type School = {
  readonly id: SchoolId;
  /** What it does, in words of ours. */
  readonly name: string;
  readonly says: string;
  readonly source: string;
  /** Whether this exercise can be dosed so. */
  readonly fits: (exercise: Exercise) => boolean;
  /** Whether its rule can go on from a dose as it is written; else somebody is asked. */
  readonly reads: (dose: Dose) => boolean;
  /** Where it starts; the exercise may have its own (`doses`). */
  readonly start: (settings: SchoolSettings) => string;
  /** What follows by itself once written into the version; empty for most. */
  readonly phases: readonly Phase[];
  readonly bounds: SchoolBounds;
  /**
   * What sets its pace: so many good days in a row and the clinic's least time on a step, what
   * symptoms do, or every single session.
   */
  readonly pace: 'good days' | 'symptoms' | 'every session';
};

export const TRADE = 'Common practice, no source.';

/** What a dose may never leave of a school's bounds; null while within. */
export function beyondBounds({ bounds }: Pick<School, 'bounds'>, dose: Dose): string | null {
  const hold = holdOf(dose);
  const counts = bounds.hold !== null && (bounds.hold.bouts || dose.head.kind !== 'bouts');
  if (counts && hold && bounds.hold && hold.most > bounds.hold.most)
    return `The hold is over ${bounds.hold.most} s.`;
  if (
    bounds.volume !== null &&
    dose.head.kind === 'sets' &&
    dose.head.sets.most * dose.head.reps.most > bounds.volume
  )
    return `More than ${bounds.volume} repetitions.`;
  if (
    bounds.effortPercent !== null &&
    dose.effort?.kind === 'percent' &&
    dose.effort.range.most > bounds.effortPercent
  )
    return `Over ${bounds.effortPercent} % threatens.`;
  return null;
}
