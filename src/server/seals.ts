import { textOrder } from '@/core/units';
import { createHash } from 'node:crypto';
import {
  AlreadyThere,
  LIST_BOUNDS,
  type AuditRow,
  type LookRow,
  type SealRow,
  eventsAfter,
  insertSeal,
  looksAfter,
  newestSeal,
  sealsAfter,
  write,
} from '@/db';
import { breather } from './breathe';
import { now } from './clock';
import { leased } from './leases';
import { PERIODS_MS } from './periods';
import { logFailure } from './problem';

/** Batches of the audit sealed in one go; the next tick goes on. */
const ROUNDS = 20;
const NOTHING = { id: 0, throughEvent: 0, throughLook: 0, hash: '' } as const;

/**
 * The fields of a row in one order. A session is left out where none was kept, as in rows of before it
 * was, whose seals were made without it.
 */
const fieldsOf = (row: AuditRow | LookRow) =>
  Object.entries(row)
    .filter(([key, value]) => key !== 'session' || value !== '')
    .sort(([a], [b]) => textOrder(a, b));

/** The hash of a seal: over the one before it, and everything it covers, field by field. */
function hashOver(before: string, events: readonly AuditRow[], looks: readonly LookRow[]): string {
  const hash = createHash('sha256').update(before);
  for (const row of [...events, ...looks]) hash.update(JSON.stringify(fieldsOf(row)));
  return hash.digest('base64url');
}

/**
 * Seals what was written to the audit since the newest seal, so that a row that is changed or taken out
 * later shows. Several processes may try at once: one of them does it.
 *
 * @returns how many rows were sealed
 */
export async function sealAudit(): Promise<number> {
  const last = (await newestSeal()) ?? NOTHING;
  const [events, looks] = await Promise.all([
    eventsAfter(last.throughEvent, Number.MAX_SAFE_INTEGER - 1, LIST_BOUNDS.sealed),
    looksAfter(last.throughLook, Number.MAX_SAFE_INTEGER - 1, LIST_BOUNDS.sealed),
  ]);
  if (events.length + looks.length === 0) return 0;
  try {
    await write(() => [
      insertSeal({
        id: last.id + 1,
        at: now(),
        throughEvent: events.at(-1)?.id ?? last.throughEvent,
        throughLook: looks.at(-1)?.id ?? last.throughLook,
        hash: hashOver(last.hash, events, looks),
      }),
    ]);
  } catch (error) {
    if (error instanceof AlreadyThere) return 0;
    throw error;
  }
  return events.length + looks.length;
}

/**
 * Reckons every seal again.
 *
 * @returns a sentence for each that does not hold
 */
export async function brokenSeals(): Promise<string[]> {
  const broken: string[] = [];
  let before: Pick<SealRow, 'id' | 'throughEvent' | 'throughLook' | 'hash'> = NOTHING;
  for (;;) {
    const seals = await sealsAfter(before.id, 500);
    if (seals.length === 0) return broken;
    for (const seal of seals) {
      const [events, looks] = await Promise.all([
        eventsAfter(before.throughEvent, seal.throughEvent, LIST_BOUNDS.sealed + 1),
        looksAfter(before.throughLook, seal.throughLook, LIST_BOUNDS.sealed + 1),
      ]);
      const holds = seal.id === before.id + 1 && seal.hash === hashOver(before.hash, events, looks);
      if (!holds)
        broken.push(
          `The audit between seal ${before.id} and seal ${seal.id} was changed, or part of it is gone.`,
        );
      before = seal;
    }
  }
}

/** Seals while the server runs; once a process. */
export function startSeals(): void {
  const work = async () => {
    const breathe = breather();
    // An old record has much to seal at first; others are let in between.
    for (let round = 0; round < ROUNDS && (await sealAudit()) > 0; round += 1) await breathe();
  };
  const tick = () => leased('seals', work);
  setInterval(
    () => void tick().catch((error: unknown) => logFailure('seal', error)),
    PERIODS_MS.seal,
  ).unref();
}
