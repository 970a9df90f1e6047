import { z } from 'zod';
import { PRECAUTIONS, type PrecautionId, type ScreeningAnswers } from '../../screen';

/**
 * Answers as they were given. A question that a later release dropped stays in the record and is
 * not read: the rules of the day say what it came to.
 */
export const StoredAnswers = z
  .object({
    answers: z.record(z.string(), z.enum(['yes', 'no', 'not tested'])),
    age: z.number().nullable(),
    pressure: z.object({ systolic: z.number(), diastolic: z.number() }).nullable(),
  })
  .transform((given) => given as ScreeningAnswers);

const IDS = Object.keys(PRECAUTIONS) as [PrecautionId, ...PrecautionId[]];

export const StoredPrecautions = z.array(z.enum(IDS));
