import { MINUTE_MS } from '@/core/units';
import type { Instant } from '@/core/schedule';
import { Problem } from '../problem';
import { tallyOf } from '../tally';

/** Questions of one key within a minute. */
export const MOST_A_MINUTE = 120;
const count = tallyOf('read-rate', MINUTE_MS, MOST_A_MINUTE);

/**
 * Counts a question of a key, by the minute of the server.
 *
 * @throws Problem 429 above `MOST_A_MINUTE`
 */
export function countRead(key: string, at: Instant): void {
  if (!count(key, 1, at))
    throw new Problem(
      429,
      `This key asked ${MOST_A_MINUTE} times within a minute. Ask again when it is over, and for more at once (_count).`,
    );
}
