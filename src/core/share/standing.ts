import { MINUTE_MS } from '../units';
import type { Instant } from '../schedule';

/** What a phone is shown, as the clinic last said it. */
export type ShareRow = {
  readonly touchedAt: Instant;
  readonly seenAt: Instant | null;
  readonly endedAt: Instant | null;
};

/** The desk says that it is still there so often, and the phone's connection is looked at, in ms. */
export const SHARE_BEAT_MS = 5_000;
/** A desk that said nothing for so long has lost its connection, in ms: four beats. */
export const SHARE_SILENT_MS = 20_000;
/** One that said nothing for so long is over, in ms. */
export const SHARE_OVER_MS = 10 * MINUTE_MS;

export type ShareStanding = 'running' | 'silent' | 'over';

/** Whether the clinic is still showing; `silent` where it has not said so for a while. */
export function shareStanding(row: ShareRow | null, now: Instant): ShareStanding {
  if (!row || row.endedAt !== null || now - row.touchedAt >= SHARE_OVER_MS) return 'over';
  return now - row.touchedAt >= SHARE_SILENT_MS ? 'silent' : 'running';
}

/** Whether a phone looks on: its connection was open a few beats ago. */
export function phoneLooksOn(row: ShareRow, now: Instant): boolean {
  return row.seenAt !== null && now - row.seenAt < 3 * SHARE_BEAT_MS;
}
