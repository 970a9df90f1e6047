import { z } from 'zod';
import { LEVELS } from '@/core/triage';

/** What of the morning list is looked at. */
export const Query = z.object({
  /** By a name that the browser keeps: it stands in no address. */
  narrowed: z.literal('1').nullable().catch(null),
  page: z.coerce.number().int().min(1).catch(1),
  whose: z.uuid().nullable().catch(null),
  group: z
    .enum([...LEVELS, 'aside'])
    .nullable()
    .catch(null),
});
export type Query = z.infer<typeof Query>;

/** The address of the same list with something else looked at. */
export function address(query: Query, change: Partial<Query>): string {
  const { narrowed, page, whose, group } = { ...query, page: 1, ...change };
  const parts = new URLSearchParams({
    ...(narrowed ? { narrowed } : {}),
    ...(whose ? { whose } : {}),
    ...(group ? { group } : {}),
    ...(page > 1 ? { page: String(page) } : {}),
  }).toString();
  return parts === '' ? '/' : `/?${parts}`;
}
