import type { DoseSign } from '../dose';
import type { Drawing } from '../figure';
import type { LocalDate } from '../units';

export const PAPERS = ['a4', 'letter'] as const;
export type Paper = (typeof PAPERS)[number];

/** One exercise of a handout, worded for the patient. */
export type HandoutExercise = {
  readonly lineage: string;
  readonly name: string;
  /** The complaint it is for, where more than one is treated; null or left out where one is. */
  readonly complaint?: string | null;
  /** The dose in words. */
  readonly numbers: string;
  /** The same as signs beside the drawing. */
  readonly signs: readonly DoseSign[];
  /** What of its set-up was measured for this patient. */
  readonly setUp: readonly string[];
  /** Where the sets are counted, to be written down; empty where they are not. */
  readonly howMany: string;
  readonly steps: readonly string[];
  /** This patient's own reminders, from the teaching. */
  readonly own: readonly string[];
  readonly cues: readonly string[];
  readonly needs: string;
  readonly feel: string;
  readonly normal: string;
  readonly stop: string;
  /** Start and end, drawn; empty for an exercise without a drawing. What lies between is in the words. */
  readonly pictures: readonly { readonly name: string; readonly drawing: Drawing }[];
  /** The side the drawing is for, in words; empty where it has none. */
  readonly side: string;
  /** Photos of this patient's own set-up, as addresses of pictures. */
  readonly photos: readonly string[];
  /** The drawing in words, for those who do not see it. */
  readonly description: string;
};

export type HandoutWeek = {
  /** "Mon 23", seven of them. */
  readonly days: readonly string[];
  readonly rows: readonly {
    readonly name: string;
    readonly due: readonly number[];
    readonly asNeeded: boolean;
  }[];
};

/** A sheet for the fridge. Everything on it comes from the record. */
export type Handout = {
  readonly clinic: {
    readonly name: string;
    readonly phone: string;
    readonly emergencyText: string;
  };
  readonly patientName: string;
  readonly version: number;
  readonly effectiveFrom: LocalDate;
  readonly madeOn: LocalDate;
  /** The day to come back, in words. */
  readonly review: string;
  readonly rounds: number;
  /** Time of one session in words. */
  readonly time: string;
  readonly exercises: readonly HandoutExercise[];
  readonly week: HandoutWeek;
  readonly stopSigns: readonly string[];
  readonly normalSigns: string;
  readonly caution: string;
  /** What the code to scan opens. */
  readonly address: string;
};

/** More boxes than this in one cell are written as a number. */
export const MOST_BOXES = 4;

/** A cell of the week in words, for those who do not see its boxes. */
export function cellWords(due: number, asNeeded: boolean): string {
  if (asNeeded) return 'when needed';
  return due === 0 ? 'rest' : due === 1 ? 'once' : `${due} times`;
}
