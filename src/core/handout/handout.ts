import type { DoseSign } from '../dose';
import type { Drawing } from '../figure';

export const PAPERS = ['a4', 'letter'] as const;
export type Paper = (typeof PAPERS)[number];

/** One exercise of a handout, worded for the patient. */
export type HandoutExercise = {
  readonly lineage: string;
  readonly name: string;
  /** The complaint it is for, in a sentence, where more than one is treated; empty where one is. */
  readonly complaint: string;
  /** The dose in words. */
  readonly numbers: string;
  /** The same in the clinic's language, while nobody has checked the patient's; else empty. */
  readonly numbersBeside: string;
  /** The same as signs beside the drawing. */
  readonly signs: readonly DoseSign[];
  /** What of its set-up was measured for this patient, and their own reminders, in sentences. */
  readonly own: readonly string[];
  /** Where the sets are counted, to be written down; empty where they are not. */
  readonly howMany: string;
  readonly steps: readonly string[];
  /** What it needs, what is felt and what is normal, in sentences. */
  readonly about: readonly string[];
  /** What to stop for, in a sentence; empty where nothing is beyond what stops every exercise. */
  readonly stop: string;
  /** Start and end, drawn; empty for an exercise without a drawing. What lies between is in the words. */
  readonly pictures: readonly { readonly name: string; readonly drawing: Drawing }[];
  /** The side the drawing is for, in a sentence; empty where it has none. */
  readonly side: string;
  /** Photos of this patient's own set-up, as addresses of pictures. */
  readonly photos: readonly { readonly address: string; readonly words: string }[];
  /** The drawing in words, for those who do not see it. */
  readonly description: string;
};

export type HandoutWeek = {
  /** "Mon 23", seven of them. */
  readonly days: readonly string[];
  readonly rows: readonly {
    readonly name: string;
    /** How often it is due on each day, and the same in words for those who do not see the boxes. */
    readonly due: readonly { readonly times: number; readonly words: string }[];
    readonly asNeeded: boolean;
  }[];
};

/** What a handout says of itself, in the patient's language. */
export type HandoutWords = {
  readonly title: string;
  /** Version, day, when to come back, how long it takes: a sentence each. */
  readonly head: readonly string[];
  /** What all its exercises share of when they are done; empty where they share nothing. */
  readonly shared: string;
  readonly page: string;
  readonly code: string;
  readonly noDrawing: string;
  readonly week: string;
  readonly exercise: string;
  readonly stop: string;
  readonly call: string;
  readonly printed: string;
  /** At the foot of each page of a PDF, with {page} and {pages} to be filled in. */
  readonly foot: string;
  /** For letters no font has, with {letters} to be filled in. */
  readonly missing: string;
  readonly file: string;
  readonly about: string;
  /** What the signs of the drawings mean, by their names; the key's own name under "". */
  readonly key: Readonly<Record<string, string>>;
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
  /** BCP 47: the patient's language, and which way it is written. */
  readonly language: string;
  readonly way: 'ltr' | 'rtl';
  readonly words: HandoutWords;
  readonly exercises: readonly HandoutExercise[];
  readonly week: HandoutWeek;
  readonly stopSigns: readonly string[];
  /** The same in the clinic's language, while nobody has checked the patient's; else empty. */
  readonly stopBeside: readonly string[];
  readonly normalSigns: string;
  readonly caution: string;
  /** What the code to scan opens. */
  readonly address: string;
};

/** More boxes than this in one cell are written as a number. */
export const MOST_BOXES = 4;
