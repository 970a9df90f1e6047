import { z } from 'zod';
import { LONGEST_LINE } from '../dose';
import { SCHOOL_IDS } from '../exercise';
import { SESSION_NAMES } from '../schedule';
import { PRECAUTIONS, type PrecautionId, TRAITS, type Trait } from '../screen';
import { type LocalDate, parseLocalDate } from '../units';
import { recordId, words } from './words';

export const dateText = z
  .string()
  .refine((text) => parseLocalDate(text) !== null, 'Write a date as 2026-11-30.')
  .transform((text) => text as LocalDate);

/** The most lines a programme can have. */
export const MOST_LINES = 500;

const keysOf = <T extends string>(table: Readonly<Record<T, unknown>>) =>
  z.enum(Object.keys(table) as [T, ...T[]]);

/** Why a flagged line goes ahead. */
export const FlagOverride = z.object({
  precaution: keysOf<PrecautionId>(PRECAUTIONS),
  trait: keysOf<Trait>(TRAITS),
  reason: words('Why it goes ahead', 300),
});
export type FlagOverride = z.infer<typeof FlagOverride>;

/** A line's school with its parameters. */
export const SchoolDraft = z.object({
  id: z.enum(SCHOOL_IDS),
  settings: z.object({
    holds: z.array(z.number().positive().max(3600)).max(8).readonly(),
    tenRepMaximum: z.number().positive().max(500).nullable(),
    unit: z.enum(['kg', 'lb']),
  }),
});

export const LineDraft = z.object({
  /** The line this one continues; null for a new one. */
  lineage: recordId.nullable(),
  exerciseId: z.string().min(1).max(80),
  dose: z.string().max(LONGEST_LINE, 'This dose line is too long.'),
  school: SchoolDraft.nullish(),
  /** Which part of the day a line done once belongs to. */
  session: z.enum(SESSION_NAMES).nullish(),
  overrides: z.array(FlagOverride).max(40).optional(),
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
export type LineDraft = z.infer<typeof LineDraft>;

const templateLine = LineDraft.omit({ lineage: true, overrides: true });

/** A programme without a patient, to be applied and then adjusted. */
export const TemplateDraft = z.object({
  id: recordId,
  name: words('The name', 120),
  rounds: z.number().int().min(1).max(5),
  lines: z.array(templateLine).min(1, 'A template has at least one exercise.').max(MOST_LINES),
});
export type TemplateDraft = z.infer<typeof TemplateDraft>;

/** The longest unsaved desk that is kept, characters. */
export const LONGEST_DESK = 400_000;

/** An unsaved desk, kept for its author; nobody else's programme is touched by it. */
export const DeskDraft = z.object({
  patientId: recordId,
  basedOn: z.number().int().min(0),
  /** The desk as JSON; null forgets it. */
  desk: z.string().max(LONGEST_DESK, 'This desk is too large to be kept.').nullable(),
});
export type DeskDraft = z.infer<typeof DeskDraft>;
