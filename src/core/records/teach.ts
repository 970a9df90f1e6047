import { z } from 'zod';
import { isRegion } from '../symptoms';
import type { RegionId } from '../symptoms';
import { SAID_PARTS } from '../teach';
import type { Frozen } from '../units';
import { recordId, words } from './words';

const yesNo = z.enum(['yes', 'no'], { error: 'Yes, no, or not asked.' }).nullable();

/** What happened in the room for one exercise. */
export const TaughtLineDraft = z.object({
  lineage: recordId,
  said: z.array(z.enum(SAID_PARTS)).max(SAID_PARTS.length),
  demonstrated: z.boolean(),
  watched: z.boolean(),
  felt: z
    .array(
      z.custom<RegionId>((value) => typeof value === 'string' && isRegion(value), {
        error: 'There is no such place on the drawn body.',
      }),
    )
    .max(40),
  /** Asked and answered; null while nobody has asked. */
  comfortable: yesNo,
  breathing: yesNo,
  faults: z
    .array(z.object({ fault: words('The fault', 200), fix: words('The fix', 200, 0) }))
    .max(12, 'At most twelve faults for one exercise.'),
  /** This patient's own reminder, carried to handout and phone; empty when there is none. */
  cue: words('The reminder', 200, 0),
  /** Questions asked and answered; null while nobody has asked for them. */
  questions: words('The questions', 600, 0).nullable(),
});

export type TaughtLine = Frozen<z.output<typeof TaughtLineDraft>>;

/** A signed teaching: what was said, shown and checked. It is never changed. */
export const TeachBackDraft = z.object({
  id: recordId,
  patientId: recordId,
  programmeId: recordId,
  version: z.number().int().min(1),
  lines: z
    .array(TaughtLineDraft)
    .min(1, 'There is no exercise to sign for.')
    .max(500, 'At most 500 exercises.'),
  closing: z.object({ doseSaidAgain: z.boolean(), dayToComeBack: z.boolean() }),
});
export type TeachBackDraft = z.infer<typeof TeachBackDraft>;
export type Closing = Frozen<TeachBackDraft['closing']>;

/** What a signed teaching keeps beside whose and when it was. */
export const TaughtRecord = TeachBackDraft.pick({ lines: true, closing: true });

/** Text of several lines: unlike a field of one line it keeps its line breaks. */
const notePartLines = (name: string) =>
  z
    .string({ error: `${name} is missing.` })
    .max(8000, `${name} can be at most 8,000 characters long.`)
    .transform((text) =>
      text
        .normalize('NFC')
        .split(/\r?\n/)
        .map((line) => line.replace(/\p{Cc}+/gu, ' ').trimEnd())
        .join('\n')
        .trim(),
    );

/** A signed note of a visit; a later one stands beside it, never over it. */
export const VisitNoteDraft = z
  .object({
    id: recordId,
    patientId: recordId,
    subjective: notePartLines('Subjective'),
    objective: notePartLines('Objective'),
    assessment: notePartLines('Assessment'),
    plan: notePartLines('Plan'),
  })
  .refine((note) => note.subjective + note.objective + note.assessment + note.plan !== '', {
    message: 'The note is empty.',
    path: ['subjective'],
  });
export type VisitNoteDraft = z.infer<typeof VisitNoteDraft>;

/** The four parts of a signed note. */
export const NoteRecord = z.object({
  subjective: z.string(),
  objective: z.string(),
  assessment: z.string(),
  plan: z.string(),
});

export const VISIT_DRAFT_KINDS = [
  'teach',
  'note',
  'screening',
  'history',
  'goal',
  'care',
  'consent',
  'measures',
] as const;

/** What a member has not signed yet, kept for them; null forgets it. */
export const VisitDraftRecord = z.object({
  patientId: recordId,
  kind: z.enum(VISIT_DRAFT_KINDS),
  body: z.string().max(200_000, 'This is too long to be kept.').nullable(),
});
export type VisitDraftRecord = z.infer<typeof VisitDraftRecord>;
