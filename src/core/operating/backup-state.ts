import { DAY_MS } from '../units';
import type { Instant } from '../schedule';

/** How the clinic's backups stand, as its lead is told. */
export type BackupState =
  | { readonly kind: 'not set up' }
  | { readonly kind: 'none yet'; readonly failure: string | null }
  | { readonly kind: 'good' | 'old'; readonly at: number; readonly failure: string | null };

/** The newest good backup may be so old, milliseconds: one night may fail. Common practice, no source. */
const OLD_MS = 2 * DAY_MS;

/**
 * How backups stand that have a place.
 *
 * @param newest when the newest good one was made, milliseconds since 1970; null when there is none
 * @param failure why the last try failed; null where it did not
 */
export function backupStateAt(
  newest: number | null,
  failure: string | null,
  now: Instant,
): BackupState {
  if (newest === null) return { kind: 'none yet', failure };
  return { kind: now - newest > OLD_MS ? 'old' : 'good', at: newest, failure };
}

/** Whether somebody has to look after the backups. */
export function backupsNeedLook(state: BackupState): boolean {
  return state.kind !== 'good' || state.failure !== null;
}
