import { z } from 'zod';
import { dateText, recordId } from './words';

/** What a paper that came in is. */
export const PAPER_KINDS = ['referral', 'imaging report', 'letter', 'scan', 'other'] as const;
export type PaperKind = (typeof PAPER_KINDS)[number];

/** How a paper is kept: as it came, or as a picture made anew. */
export const PAPER_TYPES = ['application/pdf', 'image/jpeg'] as const;

/** The largest file taken in, bytes: some dozen scanned pages. */
export const PAPER_LIMIT = 10 * 1024 * 1024;
export const PAPER_TOO_LARGE = 'This file is larger than 10 MB. Scan it smaller, or in parts.';

/** Papers of one patient. */
export const MOST_PAPERS = 200;

/** What stands beside the bytes of a paper: nobody's words, since it stands in an address. */
export const PaperFacts = z.object({
  id: recordId,
  patientId: recordId,
  kind: z.enum(PAPER_KINDS, { error: 'Choose what it is.' }),
  receivedOn: dateText,
});
export type PaperFacts = z.infer<typeof PaperFacts>;

/** One paper of a patient: to be shown, marked as read or deleted. */
export const PaperAsked = z.object({ patientId: recordId, id: recordId });
