import type { SessionLog } from '../../course';
import { type Dose, holdOf } from '../../dose';
import type { Exercise, SchoolId } from '../../exercise';
import type { BandCurve } from '../../load';
import type { Asked } from '../../records';
import type { SchoolSettings } from '../settings';
import { type GrownMeasure, nextTimes } from '../steps/frequency';
import type { Takeable } from '../steps/take-off';

/** A dose a clinician may choose instead of the one proposed, or where none is proposed by itself. */
export type Choice = {
  readonly dose: Dose;
  /** What it is, and what speaks for or against it. */
  readonly say: string;
};

/** What one success changes. */
export type Growth =
  | {
      readonly kind: 'dose';
      readonly dose: Dose;
      readonly measure: GrownMeasure;
      readonly why: string;
      readonly choices?: readonly Choice[];
    }
  | { readonly kind: 'next rung'; readonly why: string }
  /** The clinician chooses: none of them is the default. */
  | { readonly kind: 'choose'; readonly choices: readonly Choice[]; readonly why: string }
  /** A number is missing. */
  | { readonly kind: 'ask'; readonly what: Asked; readonly why: string }
  | { readonly kind: 'stays'; readonly why: string };

export type Phase = { readonly fromDay: number; readonly dose: string; readonly why: string };

/** What a school reads of a line that has gone well. */
export type Standing = {
  readonly exercise: Exercise;
  readonly dose: Dose;
  readonly settings: SchoolSettings;
  /** The sessions of the row of good days, oldest first; for a scheme of loads every session. */
  readonly sessions: readonly SessionLog[];
  /** Weights there are; empty where any can be set. */
  readonly owned: readonly number[];
  /** What they are written in. */
  readonly unit: 'kg' | 'lb';
  /** Bands whose force the clinic has measured. */
  readonly bands: readonly BandCurve[];
  /** The doses this exercise had on the way here, oldest first, the present one last. */
  readonly past: readonly Dose[];
};

/** What a school asks of a good session before it grows; `say` names the number that is missing. */
export type Readiness = { readonly ready: boolean; readonly say: string };

export const READY: Readiness = { ready: true, say: '' };
export const notYet = (say: string): Readiness => ({ ready: false, say });

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
 * A school of progression as a small state machine over the course of an exercise: where it starts,
 * what one success changes, what is taken off, and where it ends. The way up again after a reduction
 * is the same for all (`givenBack`); the traffic light, the next morning, precautions, memory and
 * pace come before it (`nextStep`).
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
  /** What it asks of a good session before anything grows. */
  readonly ready: (dose: Dose, log: SessionLog) => Readiness;
  /** What one success changes. */
  readonly next: (standing: Standing) => Growth;
  /** What is taken off first after pain, one measure at a time. */
  readonly back: readonly Takeable[];
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

/** Once a step has nothing left to grow on: more often where its method says so, then the next step. */
export function thenOften(standing: Standing, why: string): Growth {
  const more = nextTimes(standing.dose, standing.exercise);
  return more
    ? {
        kind: 'dose',
        dose: more,
        measure: 'times',
        why: 'It has settled at this often: once more a day.',
      }
    : { kind: 'next rung', why };
}
