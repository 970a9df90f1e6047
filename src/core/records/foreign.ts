import { z } from 'zod';
import { FOREIGN_FILE_LIMIT } from '../record-choices';
import { PatientDraft } from './patient';
import { recordId, words } from './words';

const file = z
  .string()
  .max(FOREIGN_FILE_LIMIT, 'This file is too large: at most 600,000 characters.');

/** A file of another system to be looked at: for a new patient, or for one who is here. */
export const ForeignAsked = z.object({ text: file, patientId: recordId.nullable() });

/** A file to be taken in. */
export const ForeignDraft = z.object({
  text: file,
  /** Where it comes from, kept with every measurement. */
  from: words('Where it comes from', 200),
  into: z.discriminatedUnion('kind', [
    z.object({
      kind: z.literal('new'),
      /** Made by the page, so that sending twice makes one patient. */
      id: recordId,
      complaint: PatientDraft.shape.complaint,
      area: PatientDraft.shape.area.unwrap(),
      another: z.boolean(),
    }),
    z.object({
      kind: z.literal('here'),
      id: recordId,
      /** That the file is of this very patient, where it names somebody else. */
      isSame: z.boolean(),
    }),
  ]),
});
export type ForeignDraft = z.infer<typeof ForeignDraft>;
