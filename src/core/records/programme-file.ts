import { z } from 'zod';
import { LONGEST_LINE } from '../dose';
import { SESSION_NAMES } from '../schedule';
import { OwnExerciseDraft } from './own-exercise';
import { MOST_LINES, ProgrammeNotes, SchoolDraft } from './programme';
import { recordId, words } from './words';

/** What a file of a programme says it is. */
export const PROGRAMME_FORMAT = 'home programme';
export const PROGRAMME_FORMAT_VERSION = 1;

/** The most own exercises that come along with a programme. */
const MOST_CARRIED = 60;

/**
 * A programme without a patient as a file: open JSON. A line names its exercise in words; one that ships
 * also has its id, and one of the clinic's own comes along in full.
 */
export const ProgrammeFile = z.object({
  format: z.literal(PROGRAMME_FORMAT, { error: 'This is not a file of a programme.' }),
  version: z.literal(PROGRAMME_FORMAT_VERSION, {
    error: 'This file is of a newer form than this installation reads. Update it first.',
  }),
  name: words('The name', 120),
  notes: ProgrammeNotes.optional(),
  rounds: z
    .number({ error: 'The rounds are missing.' })
    .int('The rounds are a whole number.')
    .min(1, 'At least one round.')
    .max(5, 'At most five rounds.'),
  lines: z
    .array(
      z.object({
        /** Of an exercise that ships; null for one that comes along. */
        id: z.string().max(80).nullable(),
        exercise: words('The exercise', 120),
        dose: z.string().max(LONGEST_LINE, 'This dose line is too long.'),
        school: SchoolDraft.nullable(),
        session: z.enum(SESSION_NAMES).nullable(),
      }),
    )
    .min(1, 'A programme has at least one exercise.')
    .max(MOST_LINES, `At most ${MOST_LINES} exercises.`),
  /** The clinic's own exercises that its lines name. */
  exercises: z.array(OwnExerciseDraft).max(MOST_CARRIED, `At most ${MOST_CARRIED} own exercises.`),
});
export type ProgrammeFile = z.output<typeof ProgrammeFile>;

/** A file of a programme as it was chosen, to be looked at first. */
export const ProgrammeFileAsked = z.object({
  text: z.string().max(900_000, 'This file is too large (at most 900 kB).'),
});

/** The same to be taken in, under a name of the clinic's. */
export const ProgrammeFileTaken = ProgrammeFileAsked.extend({
  id: recordId,
  name: words('The name', 120),
});
export type ProgrammeFileTaken = z.infer<typeof ProgrammeFileTaken>;

/** Which programme is asked for as a file. */
export const ProgrammeFileOf = z.object({
  of: z.enum(['ready', 'template']),
  id: z.string().min(1).max(80),
});
export type ProgrammeFileOf = z.infer<typeof ProgrammeFileOf>;

/** What a file would bring, before anything is written. */
export type ProgrammePreview =
  | { readonly kind: 'wrong'; readonly problems: readonly string[] }
  | {
      readonly kind: 'right';
      readonly name: string;
      /** A template has this name already: another one is wanted. */
      readonly nameTaken: boolean;
      readonly rounds: number;
      readonly about: string;
      readonly lines: readonly {
        readonly exercise: string;
        readonly dose: string;
        /** Where the exercise comes from. */
        readonly from: 'ships' | 'yours' | 'new';
      }[];
    };
