import { z } from 'zod';
import { PAPERS } from '../handout';
import { recordId } from './words';

/** Which sheet is wanted. The link, where there is a new one, is in no address and kept nowhere. */
export const HandoutOrder = z.object({
  patientId: recordId,
  format: z.enum(['pdf', 'html'], { error: 'A handout is a PDF or an HTML file.' }),
  paper: z.enum(PAPERS, { error: 'The paper is A4 or US letter.' }),
  large: z.boolean(),
  link: z.url({ error: 'This is no link.' }).max(400).nullable(),
});
export type HandoutOrder = z.infer<typeof HandoutOrder>;
