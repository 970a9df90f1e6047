import { z } from 'zod';
import type { OutcomeLetter } from '../../review';
import { dateText } from '../words';

const texts = z.array(z.string());

/** A letter as it was signed. */
export const StoredLetter = z.object({
  kind: z.enum(['review', 'discharge']),
  clinic: z.object({ name: z.string(), phone: z.string() }),
  patientName: z.string(),
  author: z.string(),
  date: dateText,
  complaint: z.string(),
  from: dateText,
  forReferrer: z.boolean(),
  paragraphs: texts,
  measures: z.array(
    z.object({ name: z.string(), first: z.string(), last: z.string(), verdict: z.string() }),
  ),
  goals: texts,
  programme: texts,
  words: z.string(),
  caution: z.string(),
}) satisfies z.ZodType<OutcomeLetter>;
