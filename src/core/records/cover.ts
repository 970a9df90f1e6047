import { z } from 'zod';
import { dateText, recordId } from './words';

/** Nobody is away for longer in one go. */
export const MOST_DAYS_AWAY = 366;

/** Who answers for a practitioner who is away. */
export const CoverDraft = z
  .object({
    id: recordId,
    /** Who is away. */
    memberId: recordId,
    coveredBy: recordId,
    from: dateText,
    /** The last day away. */
    to: dateText,
  })
  .refine(({ from, to }) => to >= from, {
    message: 'The last day away is not before the first.',
    path: ['to'],
  })
  .refine(({ memberId, coveredBy }) => memberId !== coveredBy, {
    message: 'Somebody else answers than who is away.',
    path: ['coveredBy'],
  });
export type CoverDraft = z.infer<typeof CoverDraft>;

export const CoverEnd = z.object({ id: recordId });
