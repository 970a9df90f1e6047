import { z } from 'zod';
import { recordId } from './words';

/** The count as a desk shows it, for a phone in step with it. */
export const SharedCountRecord = z.object({
  index: z.number().int().min(0).max(100_000),
  elapsed: z.number().min(0).max(86_400),
  running: z.boolean(),
  /** By the server's clock, milliseconds. */
  at: z.number().int().min(0).max(8_640_000_000_000_000),
});

/** What a phone is to show: a line of the programme with its count; null between two exercises. */
export const ShownRecord = z.object({ lineage: recordId, count: SharedCountRecord }).nullable();

/** What a desk says to the phone of a patient: shown, or ended. */
export const ShareDraft = z.object({
  id: recordId,
  patientId: recordId,
  /** Counts up with every change, so that a word that was overtaken changes nothing. */
  turn: z.number().int().min(0).max(1_000_000),
  does: z.enum(['show', 'end']),
  shown: ShownRecord,
});
export type ShareDraft = z.infer<typeof ShareDraft>;
