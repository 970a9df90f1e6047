import type { SessionLog } from '../../course';
import type { Dose } from '../../dose';
import type { Exercise } from '../../exercise';
import type { BandCurve } from '../../load';
import type { Asked } from '../../records';
import type { School, SchoolSettings } from '../../school';
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

/**
 * A school with its rule, a small state machine over the course of an exercise: what one success changes
 * and what is taken off. The way up again after a reduction is the same for all (`givenBack`); the traffic
 * light, the next morning, precautions, memory and pace come before it (`nextStep`).
 */
export type SchoolRule = School & {
  /** What it asks of a good session before anything grows. */
  readonly ready: (dose: Dose, log: SessionLog) => Readiness;
  /** What one success changes. */
  readonly next: (standing: Standing) => Growth;
  /** What is taken off first after pain, one measure at a time. */
  readonly back: readonly Takeable[];
};

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
