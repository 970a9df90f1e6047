import { z } from 'zod';
import { TOLD_HOW, MOST_EPISODES } from '../record-choices';
import { SORENESS } from '../adherence';
import { COMPARED, COMPLAINTS } from '../symptoms';
import { dateText, recordId, words } from './words';

const scale = z
  .number({ error: 'It is 0 to 10.' })
  .int('It is a whole number, 0 to 10.')
  .min(0, 'It is 0 to 10.')
  .max(10, 'It is 0 to 10.');

/** Takes back what was written down of a day. */
export const ToldBackDraft = z.object({ id: recordId, patientId: recordId, date: dateText });
export type ToldBackDraft = z.infer<typeof ToldBackDraft>;

/** A day as a patient told it, written down by the clinic. What was not told is null, and no "no". */
export const ToldDraft = z
  .object({
    id: recordId,
    patientId: recordId,
    date: dateText,
    /** When it was written down, milliseconds: the same when it is sent again. */
    at: z.number().int().min(0).max(8_640_000_000_000_000),
    how: z.enum(TOLD_HOW, { error: 'From a paper sheet, or by a call.' }),
    /** How often each line was done that day. */
    lines: z
      .array(
        z.object({
          lineage: recordId,
          times: z
            .number({ error: 'How often is a number.' })
            .int('How often is a whole number.')
            .min(0, 'How often is 0 or more.')
            .max(50, 'At most 50 times a day.'),
        }),
      )
      .max(100),
    /** After the sessions of the day. */
    pain: scale.nullable(),
    worst: scale.nullable(),
    /** The same of each complaint, where more than one is treated. */
    worstOf: z
      .array(z.object({ episodeId: recordId, worst: scale }))
      .max(MOST_EPISODES)
      .optional(),
    /** The morning after. */
    morning: z.enum(SORENESS, { error: 'Choose how the morning was.' }).nullable(),
    /** What felt wrong; null where nothing was told of it. */
    wrong: z
      .object({
        complaint: z.enum(COMPLAINTS, { error: 'Choose what it was.' }),
        severity: scale,
        compared: z.enum(COMPARED, { error: 'Choose how it compares.' }),
      })
      .nullable(),
    note: words('The note', 200, 0),
  })
  .refine(
    ({ lines, pain, worst, worstOf = [], morning, wrong, note }) =>
      lines.some(({ times }) => times > 0) ||
      pain !== null ||
      worst !== null ||
      worstOf.length > 0 ||
      morning !== null ||
      wrong !== null ||
      note !== '',
    { message: 'Nothing is written down yet.', path: ['lines'] },
  );
export type ToldDraft = z.infer<typeof ToldDraft>;
