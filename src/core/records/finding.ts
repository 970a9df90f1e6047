import { z } from 'zod';
import { recordId, words } from './words';

export const FINDING_DECISIONS = ['confirmed', 'dismissed', 'added'] as const;
export type FindingDecision = (typeof FINDING_DECISIONS)[number];

/**
 * What a clinician says to a finding. What it is about is never sent: the server knows it from the
 * measures, or from what was decided before, so that other words never change what it means.
 */
export const FindingDraft = z.object({
  id: recordId,
  patientId: recordId,
  /** The finding's key; of the clinician's own a new one, made of its id. */
  key: z.string().min(1).max(200),
  decision: z.enum(FINDING_DECISIONS),
  /** What the table said when it was decided on, so that other numbers ask again; null for an own one. */
  proposed: words('The proposal', 400).nullable(),
  say: words('The finding', 400),
  reason: words('The reason', 400, 0),
});
export type FindingDraft = z.infer<typeof FindingDraft>;
