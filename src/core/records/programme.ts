import { z } from 'zod';
import { LONGEST_LINE } from '../dose';
import { SCHOOL_IDS } from '../exercise';
import { MOST_SENT_LINES } from '../programme/most-lines';
import { SESSION_NAMES } from '../schedule';
import { PRECAUTIONS, type PrecautionId, TRAITS, type Trait } from '../screen';
import type { Frozen } from '../units';
import { MOST_SET_UPS, SetUpRecord } from './set-up';
import { dateText, recordId, words } from './words';

/** The most lines a desk or a template holds. */
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
    /** Lengthening: the holds to climb through, seconds, rising; empty for the school's own. */
    holds: z.array(z.number().positive().max(3600)).max(8).readonly(),
    /** Loads: what can be lifted ten times, in `unit`; null while not measured. */
    tenRepMaximum: z.number().positive().max(500).nullable(),
    unit: z.enum(['kg', 'lb']),
  }),
});

export type SchoolChoice = Frozen<z.output<typeof SchoolDraft>>;

export const LineDraft = z.object({
  /** The line this one continues; null for a new one. */
  lineage: recordId.nullable(),
  exerciseId: z.string().min(1).max(80),
  dose: z.string().max(LONGEST_LINE, 'This dose line is too long.'),
  school: SchoolDraft.nullish(),
  /** Which part of the day a line done once belongs to. */
  session: z.enum(SESSION_NAMES).nullish(),
  overrides: z.array(FlagOverride).max(40).optional(),
  /** What of its set-up was measured for this patient. */
  setUp: z.array(SetUpRecord).max(MOST_SET_UPS).optional(),
  /** The complaint it is for; left out: what it continues says it, else the one at hand. */
  episodeId: recordId.nullish(),
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
  lines: z
    .array(LineDraft)
    .min(1, 'A programme has at least one exercise.')
    .max(MOST_SENT_LINES, `A programme has at most ${MOST_SENT_LINES} exercises. Take some out.`),
});
export type ProgrammeDraft = z.infer<typeof ProgrammeDraft>;

/** Lines of a desk, to be read as their patient will; a dose need not be whole yet. */
export const ReadingOrder = z.object({
  patientId: recordId,
  lines: z
    .array(
      z.object({
        lineage: z.string().max(100).nullable(),
        exerciseId: z.string().max(100),
        dose: z.string().max(400),
      }),
    )
    .max(MOST_SENT_LINES),
});
export type ReadingOrder = z.infer<typeof ReadingOrder>;

/** One text as the clinic reads it and as the patient does. */
export type ReadBoth = {
  readonly clinic: string;
  readonly patient: string;
  /** The patient's language has no words for it: it is shown as it was written. */
  readonly asWritten: boolean;
};

/** What a patient reads of a desk, beside what the clinic does. */
export type PatientReading = {
  readonly tag: string;
  readonly way: 'ltr' | 'rtl';
  readonly name: string;
  /** Somebody of the clinic stands for the texts of this language. */
  readonly checked: boolean;
  readonly lines: readonly { readonly name: ReadBoth; readonly texts: readonly ReadBoth[] }[];
  readonly stopSigns: readonly ReadBoth[];
};
export type LineDraft = z.infer<typeof LineDraft>;

const templateLine = LineDraft.omit({
  lineage: true,
  overrides: true,
  setUp: true,
  episodeId: true,
});

/** What a programme is, and for whom: as ready programmes say it, and as it travels with a file. */
export const ProgrammeNotes = z.object({
  about: words('What it does', 400, 0),
  forWhom: words('For whom', 400, 0),
  notFor: words('Not for whom', 400, 0),
  cautions: z.array(words('A caution', 400)).max(10),
});
export type ProgrammeNotes = z.infer<typeof ProgrammeNotes>;

/** A programme without a patient, to be applied and then adjusted. */
export const TemplateDraft = z.object({
  id: recordId,
  name: words('The name', 120),
  rounds: z.number().int().min(1).max(5),
  lines: z.array(templateLine).min(1, 'A template has at least one exercise.').max(MOST_LINES),
  /** Left out by templates that were kept from a desk. */
  notes: ProgrammeNotes.optional(),
  /** The template whose place it takes: that one is offered no more. Left out by a new one. */
  replaces: recordId.optional(),
});
export type TemplateDraft = z.infer<typeof TemplateDraft>;

/** What a template keeps beside its name. */
export const TemplateBody = TemplateDraft.pick({ rounds: true, lines: true, notes: true });

/** A line on the desk, as typed: nothing of it need be right yet. */
const DeskLineState = z.object({
  /** Of this desk only. */
  uid: z.string(),
  /** The line it continues; null for a new one. */
  lineage: z.string().nullable(),
  anchor: dateText.nullable(),
  exerciseId: z.string(),
  dose: z.string(),
  school: SchoolDraft.nullable(),
  session: z.enum(SESSION_NAMES).nullable(),
  overrides: z.array(FlagOverride.extend({ reason: z.string() })),
  /** Left out of desks that were kept before there was any. */
  setUp: z.array(SetUpRecord).optional(),
  /** The complaint it is for; null or left out: the one at hand when it is saved. */
  episodeId: z.string().nullish(),
  /** What was counted the last time in a set until form fails; the line is timed by it. */
  lastMax: z.number().nullable().optional(),
});
export type DeskLine = Frozen<z.output<typeof DeskLineState>>;

/** The Plan desk as it is kept unsaved for its author. */
export const DeskState = z.object({
  lines: z.array(DeskLineState),
  rounds: z.number(),
  effectiveFrom: z.string(),
  reviewOn: z.string(),
  reason: z.string(),
});
export type Desk = Frozen<z.output<typeof DeskState>>;

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
