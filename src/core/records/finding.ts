import { z } from 'zod';
import { recordId, words } from './words';

/** What a clinician says to a finding. */
export const FindingDraft = z.object({
  id: recordId,
  patientId: recordId,
  /** Rule and part, or "added: …" for one of the clinician's own. */
  key: z.string().min(1).max(200),
  decision: z.enum(['confirmed', 'dismissed', 'added']),
  /** What the rule table said; null for the clinician's own. */
  proposed: words('The proposal', 400).nullable(),
  say: words('The finding', 400),
  towards: words('What it points to', 300, 0),
  source: words('The source', 300, 0),
  cue: words('The cue', 200).nullable(),
  reason: words('The reason', 400, 0),
});
export type FindingDraft = z.infer<typeof FindingDraft>;
