import { z } from 'zod';
import { HistoryBody } from './file-entry';
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
