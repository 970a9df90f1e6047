import type { Instant } from '@/core/schedule';
import { Problem } from '../problem';

/**
 * What one patient's devices may send in a day, bytes: a hundred times what a week without a signal
 * comes to, so that only a program meets it.
 */
export const MOST_BYTES_A_DAY = 10 * 1024 * 1024;
const DAY_MS = 86_400_000;
/** So many patients are remembered; those beyond begin anew, which only lets more through. */
const MOST_PATIENTS = 20_000;

/** Shared by the server's several bundles; each process counts for itself. */
const KEY = Symbol.for('dry-lantern.quota');
type Tally = { readonly day: number; bytes: number };
const shared = globalThis as unknown as Record<symbol, Map<string, Tally> | undefined>;

/**
 * Counts what a patient's devices send, by the day of the server.
 *
 * @throws Problem 429 when it is more than a day may bring; the device keeps it and sends it later
 */
export function countSent(patientId: string, bytes: number, at: Instant): void {
  const tallies = (shared[KEY] ??= new Map<string, Tally>());
  const day = Math.floor(at / DAY_MS);
  const known = tallies.get(patientId);
  const tally = known?.day === day ? known : { day, bytes: 0 };
  if (tally.bytes + bytes > MOST_BYTES_A_DAY)
    throw new Problem(
      429,
      'More was sent today than the clinic takes in a day. It stays on this phone and is sent tomorrow; if you did not send so much, call your clinic.',
    );
  tally.bytes += bytes;
  if (!tallies.has(patientId) && tallies.size >= MOST_PATIENTS) {
    const [oldest] = tallies.keys();
    if (oldest !== undefined) tallies.delete(oldest);
  }
  tallies.set(patientId, tally);
}
