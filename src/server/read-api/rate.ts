import type { Instant } from '@/core/schedule';
import { Problem } from '../problem';

/** Questions of one key within a minute. */
export const MOST_A_MINUTE = 120;
const MINUTE_MS = 60_000;
/** So many keys are remembered; those beyond begin anew, which only lets more through. */
const MOST_KEYS = 1000;

/** Shared by the server's several bundles; each process counts for itself. */
const KEY = Symbol.for('dry-lantern.read-rate');
type Tally = { readonly minute: number; count: number };
const shared = globalThis as unknown as Record<symbol, Map<string, Tally> | undefined>;

/**
 * Counts a question of a key, by the minute of the server.
 *
 * @throws Problem 429 above `MOST_A_MINUTE`
 */
export function countRead(key: string, at: Instant): void {
  const tallies = (shared[KEY] ??= new Map<string, Tally>());
  const minute = Math.floor(at / MINUTE_MS);
  const known = tallies.get(key);
  const tally = known?.minute === minute ? known : { minute, count: 0 };
  if (tally.count >= MOST_A_MINUTE)
    throw new Problem(
      429,
      `This key asked ${MOST_A_MINUTE} times within a minute. Ask again when it is over, and for more at once (_count).`,
    );
  tally.count += 1;
  if (!tallies.has(key) && tallies.size >= MOST_KEYS) tallies.clear();
  tallies.set(key, tally);
}
