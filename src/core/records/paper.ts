import { z } from 'zod';
import { PAPER_KINDS } from '../record-choices';
import { dateText, recordId } from './words';

/** How a paper is kept: as it came, or as a picture made anew. */
export const PAPER_TYPES = ['application/pdf', 'image/jpeg'] as const;

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
