import { z } from 'zod';
import { recordId, words } from './words';

/** Which files an assistant sees. */
export const SEES = ['all', 'chosen'] as const;

/** Days that links and devices live where the clinic has set nothing else. Common practice, no source. */
export const DEVICE_AGES = { link: 90, device: 180 } as const;

/** What the lead allows an assistant. */
export const AllowedDraft = z.object({
  memberId: recordId,
  sees: z.enum(SEES),
  /** The practitioners whose patients' files they see, where not all. */
  practitioners: z.array(recordId).max(200),
  issuesLinks: z.boolean(),
});
export type AllowedDraft = z.infer<typeof AllowedDraft>;

/** A file opened by somebody who does not see it else. */
export const OpeningDraft = z.object({
  id: recordId,
  /** Null where the patient is named instead. */
  patientId: recordId.nullable(),
  name: words('The name', 200, 0).optional(),
  reason: words('The reason', 400).refine(
    (text) => text.length >= 10,
    'Write in a few words why you have to open this file.',
  ),
});
export type OpeningDraft = z.infer<typeof OpeningDraft>;

/** All patients of one practitioner, or one patient, given to another. */
export const HandOverDraft = z.object({
  from: recordId,
  to: recordId,
  /** One patient; all of them where it is null. */
  patientId: recordId.nullable(),
});
export type HandOverDraft = z.infer<typeof HandOverDraft>;
