import { randomUUID } from 'node:crypto';
import { later } from '@/core/schedule';
import { endLease, leaseHolder, takeLease, write } from '@/db';
import { now } from './clock';
import { PERIODS_MS } from './periods';
import { processWide } from '@/db/process-wide';

/** Names this process. */
const name = processWide<string>('process');
const thisProcess = () => (name.value ??= randomUUID());

/** Work in the background that one process at a time does. */
export type LeasedWork = 'outbox' | 'triage' | 'evidence' | 'seals' | 'backups';

/**
 * Does a piece of work unless another process does it. The lease is in the database, so it holds over
 * every process that works on it; whoever dies with it loses it after its time.
 *
 * @param holder names the process; its own unless a test gives another
 * @returns whether it was done here
 */
export async function leased(
  name: LeasedWork,
  work: () => Promise<unknown>,
  holder = thisProcess(),
): Promise<boolean> {
  const at = now();
  await write(() => [
    takeLease({ name, holder, until: later(at, PERIODS_MS.lease) }, at, PERIODS_MS.lease),
  ]);
  if ((await leaseHolder(name)) !== holder) return false;
  try {
    await work();
  } finally {
    await write(() => [endLease(name, holder)]);
  }
  return true;
}
