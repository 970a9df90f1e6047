import { z } from 'zod';
import type { OutcomeLetter } from '../../review';
import { dateText } from '../words';

const texts = z.array(z.string());

const rows = z.array(
  z.object({ name: z.string(), first: z.string(), last: z.string(), verdict: z.string() }),
);

const own = z.object({
  language: z.string(),
  title: z.string(),
  date: z.string(),
  paragraphs: texts,
  measures: z.object({ title: z.string(), items: rows }),
  goals: z.object({ title: z.string(), items: texts }),
  programme: z.object({ title: z.string(), items: texts }),
  caution: z.string(),
});

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
  measures: rows,
  goals: texts,
  programme: texts,
  words: z.string(),
  caution: z.string(),
  own: own.nullish(),
}) satisfies z.ZodType<OutcomeLetter>;
