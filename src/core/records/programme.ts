import { z } from 'zod';
import { LONGEST_LINE } from '../dose';
import { type LocalDate, parseLocalDate } from '../units';
import { recordId, words } from './words';

export const dateText = z
  .string()
  .refine((text) => parseLocalDate(text) !== null, 'Write a date as 2026-11-30.')
  .transform((text) => text as LocalDate);

/** The most lines a programme can have. */
export const MOST_LINES = 500;

export const LineDraft = z.object({
  /** The line this one continues; null for a new one. */
  lineage: recordId.nullable(),
  exerciseId: z.string().min(1).max(80),
  dose: z.string().max(LONGEST_LINE, 'This dose line is too long.'),
});

/** A programme as the Plan desk sends it, to become the next version. */
export const ProgrammeDraft = z.object({
  patientId: recordId,
  /** The newest version the author saw; 0 when there was none. */
  basedOn: z.number().int().min(0),
  effectiveFrom: dateText,
  reviewOn: dateText.nullable(),
  rounds: z.number().int().min(1, 'At least one round.').max(5, 'At most five rounds.'),
  reason: words('The reason', 400, 0),
  lines: z.array(LineDraft).min(1, 'A programme has at least one exercise.').max(MOST_LINES),
});
export type ProgrammeDraft = z.infer<typeof ProgrammeDraft>;
