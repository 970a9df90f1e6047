import { z } from 'zod';
import { BandsDraft } from './band';
import { TriageLimitsDraft } from './follow';
import { DetectableDraft } from './measurement';

export const LIMITS_FORMAT = 'dry-lantern-limits';

/** A clinic's own limits as a file: when its list asks, which change is real, and its bands. */
export const LimitsFile = z.object({
  format: z.literal(LIMITS_FORMAT, { error: 'This is not a file of a clinic’s limits.' }),
  version: z.literal(1, { error: 'This file was written by a newer Dry Lantern.' }),
  limits: TriageLimitsDraft,
  detectable: z.partialRecord(DetectableDraft.shape.kind, DetectableDraft.shape.own.unwrap()),
  bands: BandsDraft.shape.bands,
});
export type LimitsFile = z.infer<typeof LimitsFile>;

/** A file of limits to be looked at, or taken over what stood when it was looked at. */
export const LimitsFileAsked = z.object({
  text: z.string().max(100_000, 'This file is too large.'),
});
export const LimitsFileTaken = LimitsFileAsked.extend({ over: z.string().max(100_000) });
