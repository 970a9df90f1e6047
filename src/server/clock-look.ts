import type { Instant } from '@/core/schedule';
import { CLOCK_SLACK_MS } from '@/db/bounds';
import { newestAuditAt } from '@/db';
import type { SignedIn } from './access';
import { now } from './clock';

/**
 * The time of the clinic's newest entry where it lies ahead of this machine's clock: one of the two was
 * wrong. Null where all is well.
 */
export async function writtenAhead(lead: SignedIn): Promise<Instant | null> {
  const newest = await newestAuditAt(lead.clinicId);
  return newest !== null && newest > now() + CLOCK_SLACK_MS ? newest : null;
}
