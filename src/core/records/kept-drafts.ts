import { z } from 'zod';
import { HistoryBody } from './file-entry';
import { MeasurementDraft } from './measurement';
import { ScreeningDraft } from './screening';
import { recordId } from './words';

const typed = z.string().max(40);

/** A screening as far as it was filled in: numbers as they were typed. */
export const KeptScreening = z.object({
  answers: ScreeningDraft.shape.answers,
  age: typed,
  systolic: typed,
  diastolic: typed,
  /** The patient's own answers it began with; others since then have to be looked at first. */
  fromId: recordId.nullable(),
});
export type KeptScreening = z.infer<typeof KeptScreening>;

/** A history as far as it was written. */
export const KeptHistory = z.object({
  body: HistoryBody.omit({ irritability: true }),
  provokedBy: typed,
  worst: typed,
  settlesWithin: typed,
  /** The history it changes. */
  before: recordId.nullable(),
});
export type KeptHistory = z.infer<typeof KeptHistory>;

/** A form as far as it was filled in: what stands in its fields by their names. */
export const KeptFields = z
  .record(z.string().max(60), z.string().max(24_000))
  .refine((fields) => Object.keys(fields).length <= 60, 'A form has at most 60 fields.');
export type KeptFields = z.infer<typeof KeptFields>;

/** The measuring sheet as far as it was filled in: rows by kind and side, everything as it was typed. */
export const KeptSheet = z.record(
  z.string().max(80),
  z.object({
    id: recordId,
    trials: z.array(typed).max(20),
    instrument: MeasurementDraft.shape.instrument,
    position: MeasurementDraft.shape.position,
    note: z.string().max(2000),
    painAtEnd: typed,
    chinJut: z.boolean(),
    cue: z.string().max(2000),
    retest: z.array(typed).max(20),
    fields: z.record(z.string().max(80), z.string().max(2000)),
  }),
);
export type KeptSheet = z.infer<typeof KeptSheet>;

/** Forms of a member that belong to no patient yet. */
export const OWN_DRAFT_KINDS = ['new patient', 'exercise'] as const;

export const OwnDraftRecord = z.object({
  kind: z.enum(OWN_DRAFT_KINDS),
  /** Null drops what was kept. */
  fields: KeptFields.nullable(),
});
export type OwnDraftRecord = z.infer<typeof OwnDraftRecord>;
