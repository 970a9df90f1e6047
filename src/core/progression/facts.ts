import { type SchoolChoice } from '../school';
import type { Course } from '../course';
import { type Dose, doseDifference, sayDoseChange } from '../dose';
import type { Exercise } from '../exercise';
import type { BandCurve } from '../load';
import type { Asked } from '../records';
import type { PrecautionId } from '../screen';
import type { LocalDate } from '../units';
import type { Move } from './move';
import type { Choice } from './schools';

/** What came of a line, and what is proposed next. Nothing is changed by it. */
export type Step = {
  readonly move: Move;
  /** The proposed dose; null where the line stays, stops, is asked about, or nothing can be taken off. */
  readonly dose: Dose | null;
  /** Another exercise of the same stairs; null where it stays the same. */
  readonly exercise: Exercise | null;
  /** One sentence with the numbers. */
  readonly why: string;
  readonly source: string;
  /** What happened when: a decision is about this and never about a later one. */
  readonly event: string;
  /** Other doses to choose. */
  readonly choices: readonly Choice[];
  /** What is asked for, where a number is missing. */
  readonly asks: Asked | null;
};

export type WeightUnit = 'kg' | 'lb';

/** The steps of the stairs that are open to this patient. */
export type Rungs = {
  readonly above: (exercise: Exercise) => Exercise | null;
  readonly below: (exercise: Exercise) => Exercise | null;
};

/** What was decided about a line's proposals, as far as the next one goes by it. */
export type DecidedBefore = {
  /** What stop-class proposals and questions were decided, by what had happened. */
  readonly events: ReadonlySet<string>;
  /** Growth was declined on this day: only what comes after it is new evidence. */
  readonly declinedOn: LocalDate | null;
  /** The patient was last asked on this day. */
  readonly askedOn: LocalDate | null;
};

export const NOTHING_DECIDED: DecidedBefore = {
  events: new Set(),
  declinedOn: null,
  askedOn: null,
};

export type LimbWord = 'drawing in' | 'spreading' | 'deficit grows' | 'no clear change';

export type StepFacts = {
  /** The present exercise in full; the course says the rest. */
  readonly exercise: Exercise;
  readonly course: Course;
  readonly school: SchoolChoice | null;
  readonly today: LocalDate;
  /** Good days in a row before anything grows; three unless the clinic says otherwise. */
  readonly goodSessions: number;
  /** Least days on a step of the stairs; a week unless the clinic says otherwise. */
  readonly leastRungDays: number;
  readonly precautions: readonly PrecautionId[];
  readonly rungs: Rungs;
  /** Weights there are; empty where any can be set. */
  readonly owned: readonly number[];
  /** What they are written in; left out where it is the line's own unit. */
  readonly ownedUnit?: WeightUnit | undefined;
  /** Bands whose force the clinic has measured. */
  readonly bands: readonly BandCurve[];
  /** Faults seen at the last teaching that had no fix. */
  readonly faults: number;
  /** What the limbs do, the worst of them; null where none is followed. */
  readonly limb: LimbWord | null;
  /** Since when they do; null where they do nothing of note. */
  readonly limbSince: LocalDate | null;
  /** The day the exercise's measured maximum last grew by more than its error; null where not. */
  readonly improvedOn: LocalDate | null;
  readonly decided: DecidedBefore;
};

export const GOOD_SESSIONS = 3;
export const LEAST_RUNG_DAYS = 7;

/** What changes between two doses, in words. */
export function saidChange(before: Dose, after: Dose): string {
  return doseDifference(before, after).map(sayDoseChange).join(', ');
}

/** A line that stays, and why. */
export function stays(why: string, source: string): Step {
  return {
    move: 'stay',
    dose: null,
    exercise: null,
    why,
    source,
    event: '',
    choices: [],
    asks: null,
  };
}
