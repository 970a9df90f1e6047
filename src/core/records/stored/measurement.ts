import { z } from 'zod';
import type { Frozen } from '../../units';
import { MeasurementFields } from '../measurement';

/** Marked on a photo: the value was reckoned by the server. */
const PhotoBody = z.object({
  form: z.literal('photo'),
  photoId: z.string(),
  markingId: z.string(),
  value: z.number(),
});

const StoredBody = z.union([MeasurementFields, PhotoBody]);

/** What a measurement holds beside or instead of trials, by its form. */
export type MeasurementBody = Frozen<z.output<typeof StoredBody>>;

/** What stands beside the trials of a measurement. */
export const StoredDetails = z.object({
  body: StoredBody.nullable(),
  note: z.string(),
  painAtEnd: z.number().nullable(),
  chinJut: z.boolean(),
  retest: z.object({ cue: z.string(), trials: z.array(z.number()) }).nullable(),
  /** The other system it was taken from, and its name there; left out where it was measured here. */
  source: z.object({ from: z.string(), id: z.string().nullable() }).optional(),
});
export type MeasurementDetails = Frozen<z.output<typeof StoredDetails>>;
