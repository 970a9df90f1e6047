import { DAY_MS } from '@/core/units';
import { ENGLISH } from '@/catalogue';
import type { Instant } from '@/core/schedule';
import { Problem } from '../problem';
import { tallyOf } from '../tally';

/**
 * What one patient's devices may send in a day, bytes: a hundred times what a week without a signal
 * comes to, so that only a program meets it.
 */
export const MOST_BYTES_A_DAY = 10 * 1024 * 1024;
const count = tallyOf('quota', DAY_MS, MOST_BYTES_A_DAY);

/**
 * Counts what a patient's devices send, by the day of the server.
 *
 * @throws Problem 429 when it is more than a day may bring; the device keeps it and sends it later
 */
export function countSent(patientId: string, bytes: number, at: Instant): void {
  if (!count(patientId, bytes, at)) throw new Problem(429, ENGLISH.texts['problem.tooMuch']);
}
