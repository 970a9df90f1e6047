import { z } from 'zod';
import { dateText } from '@/core/records';
import { type Instant, type Zone, dayBegins } from '@/core/schedule';
import { addDays } from '@/core/units';
import type { AuditQuery } from './audit-list';

const show = z.enum(['changes', 'looks']);
const who = z.string().min(1).max(80).nullable();
const date = dateText.nullable();

/** What a file of the audit is asked for; days of the clinic's calendar, both included. */
export const AuditOrder = z.object({ show, who, from: date, to: date });
export type AuditOrder = z.infer<typeof AuditOrder>;

/** The same as it stands in the page's address; what is not right there is left out. */
export const AuditAddress = z.object({
  show: show.catch('changes'),
  who: who.catch(null),
  from: date.catch(null),
  to: date.catch(null),
  before: z.coerce.number().int().min(1).catch(Number.MAX_SAFE_INTEGER),
});

/** What is asked for as instants. */
export function auditQuery(
  { show: kind, who: by, from, to }: AuditOrder,
  zone: Zone,
  before: number = Number.MAX_SAFE_INTEGER,
): AuditQuery {
  const midnight = (day: NonNullable<typeof from>) => dayBegins(zone, day);
  return {
    show: kind,
    who: by,
    before,
    from: from === null ? (0 as Instant) : midnight(from),
    to: to === null ? (Number.MAX_SAFE_INTEGER as Instant) : midnight(addDays(to, 1)),
  };
}
