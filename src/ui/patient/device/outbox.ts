import { MOST_EVENTS_POSTED, fittingEvents } from '@/core/adherence';
import type { PatientId } from '@/core/units';
import { type Answer, post } from '../../forms/post';
import { givenUp } from './in-time';
import { type DeviceStore, type WaitingEvent, deviceStore } from './store';

export type Delivery =
  /** Everything of this device is at the clinic. */
  | { readonly state: 'at the clinic' }
  /** Saved here; no signal or the server is away. */
  | { readonly state: 'saved here'; readonly count: number }
  /** The link was ended: saved here until there is a new one. */
  | { readonly state: 'link ended'; readonly count: number }
  /** The clinic's server cannot read some of it; it stays here. */
  | { readonly state: 'refused'; readonly count: number };

/** What a delivery needs of the world. */
export type OutboxWorld = {
  readonly store: () => Promise<Pick<DeviceStore, 'waiting' | 'removeEvents' | 'addEvents'>>;
  readonly post: (
    path: string,
    body: unknown,
  ) => Promise<Answer<{ stored: string[]; conflicts: string[] }>>;
  /** The device's clock, milliseconds since 1970. */
  readonly now: () => number;
};

const EVENTS_PATH = '/api/v1/patient/events';

/** The server cannot read it, or it is too large: the same again would be refused for ever. */
const REFUSED = new Set([400, 413, 422]);
/** The link was ended, or is another's. */
const LINK_ENDED = new Set([401, 403]);

/** Sends what waits on a device: in order, one delivery at a time, each event at most once for good. */
export function outbox(world: OutboxWorld) {
  let running: Promise<Delivery> | undefined;
  let askedAgain = false;

  /**
   * Sends until nothing waits or something is in the way. Asked again meanwhile it looks once more,
   * since something may have come in after it had looked. Never rejects: a device that cannot be
   * read says "saved here", and the next call tries again.
   */
  function deliver(patientId: PatientId): Promise<Delivery> {
    if (running) {
      askedAgain = true;
      return running;
    }
    running = untilNothingNew(patientId).finally(() => {
      running = undefined;
    });
    return running;
  }

  async function untilNothingNew(patientId: PatientId): Promise<Delivery> {
    let delivery: Delivery;
    do {
      askedAgain = false;
      delivery = await deliverAll(patientId).catch((): Delivery => ({
        state: 'saved here',
        count: 0,
      }));
    } while (askedAgain);
    return delivery;
  }

  async function deliverAll(patientId: PatientId): Promise<Delivery> {
    const store = await world.store();
    for (;;) {
      const all = await store.waiting(patientId);
      const open = all.filter((event) => !event.refused).sort(byTime);
      if (open.length === 0)
        return all.length === 0
          ? { state: 'at the clinic' }
          : { state: 'refused', count: all.length };
      const outcome = await send(open.slice(0, fitting(open)));
      if (outcome !== 'sent') return { state: outcome, count: all.length };
    }
  }

  async function send(
    batch: readonly WaitingEvent[],
  ): Promise<'sent' | 'saved here' | 'link ended'> {
    const store = await world.store();
    const answer = await world.post(EVENTS_PATH, bodyOf(batch, world.now()));
    if (answer.ok) {
      // Both are kept at the clinic: the stored ones in the record, the others for a person to look at.
      await store.removeEvents([...answer.value.stored, ...answer.value.conflicts]);
      return 'sent';
    }
    const { status, say } = answer;
    if (LINK_ENDED.has(status)) return 'link ended';
    // No signal, a busy or failing server: the same post may go through later.
    if (!REFUSED.has(status)) return 'saved here';
    // Refused for good: one event must not hold up the others, so they go in halves, then alone.
    const half = Math.ceil(batch.length / 2);
    if (batch.length > 1) {
      for (const part of [batch.slice(0, half), batch.slice(half)]) {
        const outcome = await send(part);
        if (outcome !== 'sent') return outcome;
      }
      return 'sent';
    }
    await store.addEvents(batch.map((event) => ({ ...event, refused: say })));
    return 'sent';
  }

  return { deliver };
}

function byTime(a: WaitingEvent, b: WaitingEvent): number {
  return a.event.deviceAt - b.event.deviceAt || a.event.offsetMs - b.event.offsetMs;
}

const bodyOf = (batch: readonly WaitingEvent[], sentAt: number) => ({
  sentAt,
  events: batch.map(({ event }) => event),
});

const bytesOf = (value: unknown) => new TextEncoder().encode(JSON.stringify(value)).length;

/** How many of these, from the first, one post may carry. */
function fitting(open: readonly WaitingEvent[]): number {
  const first = open.slice(0, MOST_EVENTS_POSTED);
  return fittingEvents(
    first.map(({ event }) => bytesOf(event)),
    bytesOf(bodyOf([], Number.MAX_SAFE_INTEGER)),
  );
}

const own = outbox({
  store: deviceStore,
  // A post that hangs would keep all later ones waiting until the page is left.
  post: (path, body) => post(path, body, givenUp()),
  now: () => Date.now(),
});

/** Sends what this device holds of a patient. */
export const { deliver } = own;
