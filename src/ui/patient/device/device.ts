import { forgetPatientHere } from './forget';
import { isStop, lineTarget, shareDone } from '@/core/adherence';
import type { PackDay, PatientPack } from '@/core/exchange';
import type { LocalDate, PatientId } from '@/core/units';
import { PATIENCE_MS, givenUp, inTime } from './in-time';
import { clearUnsent, isSessionMarked } from './awake';
import { askToPersist, isFromNetwork, keepForOffline } from './offline';
import { type Delivery, deliver } from './outbox';
import { flushPending, tellDay } from './recorder';
import { type DeviceStore, type KeptSession, deviceStore } from './store';

export { askToPersist, flushPending, keepForOffline, tellDay };

/**
 * What this phone knows beside the pack. Loaded after the page has woken up: it is not needed to
 * show the day, and the first load stays small.
 */
export type DeviceState = {
  readonly kept: readonly KeptSession[];
  readonly delivery: Delivery;
  readonly lasts: boolean;
  readonly full: boolean;
  /** A stop that the clinic does not know yet. */
  readonly stopped: boolean;
  /** Days on which something was done here, in any order. */
  readonly sessionDays: readonly LocalDate[];
  /** Mornings that were told here and that the clinic does not know yet. */
  readonly mornings: readonly LocalDate[];
  /** The browser has cleared what was kept here: something may not have reached the clinic. */
  readonly cleared: boolean;
};

/** Told for as long as the page is open, once it was seen. */
let cleared = false;

/** Sends what waits, and says how things stand on a date; while sending hangs it is saved here. */
export async function deviceState(
  patientId: PatientId,
  date: LocalDate,
  patienceMs = PATIENCE_MS,
): Promise<DeviceState> {
  const store = await deviceStore();
  const sessions = await store.sessionsOf(patientId);
  cleared ||= store.lasts && sessions.length === 0 && isSessionMarked(patientId);
  const kept = sessions.filter((one) => one.date === date);
  const sent = await inTime(deliver(patientId), patienceMs);
  const waiting = await store.waiting(patientId);
  const delivery: Delivery = sent ?? { state: 'saved here', count: waiting.length };
  if (waiting.length === 0 && kept.every(({ over }) => over)) clearUnsent();
  return {
    kept,
    delivery,
    lasts: store.lasts,
    full: store.full(),
    cleared,
    sessionDays: sessions.map((one) => one.date as LocalDate),
    mornings: waiting.flatMap(({ event: { body } }) =>
      body.type === 'morning' ? [body.date] : [],
    ),
    stopped: waiting.some(({ event }) => isStop(event.body)),
  };
}

/**
 * The newest pack: the clinic's, kept here at once; else, also while the clinic's does not come, the last
 * this phone got. When the link was ended the phone forgets it.
 */
export async function newestPack(
  start: Pick<PatientPack, 'patientId' | 'format'>,
  patienceMs = PATIENCE_MS,
): Promise<{ readonly pack: PatientPack; readonly fresh: boolean } | 'link ended' | null> {
  const store = await deviceStore();
  const coming = clinicsPack(store);
  const inTimeOrNot = await inTime(coming, patienceMs);
  if (inTimeOrNot) return inTimeOrNot;
  const kept = await store.pack();
  if (kept?.patientId === start.patientId && kept.format === start.format)
    return { pack: kept, fresh: false };
  return coming;
}

/**
 * Whether the clinic sent a page just now, so that its clock is known by it: the network answered with it,
 * and it was made after all that is kept here. Any other comes from this phone, and says nothing of what
 * time it is; nor does any where a phone keeps nothing to compare it with.
 */
export async function isNew(page: Pick<PatientPack, 'patientId' | 'at'>): Promise<boolean> {
  const store = await deviceStore();
  if (!store.lasts) return false;
  const kept = await store.pack();
  if (kept?.patientId === page.patientId && page.at <= kept.at) return false;
  return isFromNetwork();
}

/** The clinic's pack, kept here; null without a signal. */
async function clinicsPack(
  store: DeviceStore,
): Promise<{ readonly pack: PatientPack; readonly fresh: true } | 'link ended' | null> {
  const pack = await fetchPack();
  if (pack === 'link ended') await forgetPatientHere();
  else if (pack) await store.keepPack(pack);
  return pack && pack !== 'link ended' ? { pack, fresh: true } : pack;
}

async function fetchPack(): Promise<PatientPack | 'link ended' | null> {
  try {
    const response = await fetch('/api/v1/patient/pack', {
      credentials: 'same-origin',
      signal: givenUp(),
    });
    const answer = (await response.json()) as { ok: boolean; value: PatientPack };
    if (answer.ok) return answer.value;
    return response.status === 401 ? 'link ended' : null;
  } catch {
    return null;
  }
}

/** Share of each line done in the sessions this phone remembers of the day, by lineage. */
export function keptShares(
  pack: PatientPack,
  day: PackDay,
  kept: readonly KeptSession[],
): Readonly<Record<string, number>> {
  if (!day.programme) return {};
  const { rounds } = day.programme;
  return Object.fromEntries(
    pack.lines.map((line, index) => {
      const due = day.sessions.filter(({ lines }) => lines.includes(index)).length;
      const target = lineTarget(line, rounds);
      const sum = kept.reduce(
        (total, { done }) => total + Math.min(1, shareDone(target, done[line.lineage] ?? [])),
        0,
      );
      return [line.lineage, Math.min(1, sum / Math.max(1, due))];
    }),
  );
}
