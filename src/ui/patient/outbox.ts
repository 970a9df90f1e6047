import { post } from '../forms/post';
import { type WaitingEvent, deviceStore } from './store';

export type Delivery =
  /** Everything of this device is at the clinic. */
  | { readonly state: 'at the clinic' }
  /** Saved here; no signal or the server is away. */
  | { readonly state: 'saved here'; readonly count: number }
  /** The link was ended: saved here until there is a new one. */
  | { readonly state: 'link ended'; readonly count: number }
  /** The clinic's server cannot read some of it; it stays here. */
  | { readonly state: 'refused'; readonly count: number };

const MOST_AT_ONCE = 100;

let running: Promise<Delivery> | undefined;
let askedAgain = false;

/**
 * Sends what waits, in order, until nothing does or something is in the way. One at a time; asked
 * again meanwhile it looks once more, since something may have come in after it had looked.
 */
export function deliver(patientId: string): Promise<Delivery> {
  askedAgain = running !== undefined;
  running ??= (async () => {
    let delivery: Delivery;
    do {
      askedAgain = false;
      delivery = await deliverAll(patientId);
    } while (askedAgain);
    running = undefined;
    return delivery;
  })();
  return running;
}

async function deliverAll(patientId: string): Promise<Delivery> {
  const store = await deviceStore();
  for (;;) {
    const all = await store.waiting(patientId);
    const open = all.filter((event) => !event.refused).sort(byTime);
    if (open.length === 0) {
      return all.length === 0
        ? { state: 'at the clinic' }
        : { state: 'refused', count: all.length };
    }
    const outcome = await send(open.slice(0, MOST_AT_ONCE));
    if (outcome !== 'sent') return { state: outcome, count: all.length };
  }
}

function byTime(a: WaitingEvent, b: WaitingEvent): number {
  return a.event.deviceAt - b.event.deviceAt || a.event.offsetMs - b.event.offsetMs;
}

async function send(batch: readonly WaitingEvent[]): Promise<'sent' | 'saved here' | 'link ended'> {
  const store = await deviceStore();
  const answer = await post<{ stored: string[]; conflicts: string[] }>('/api/v1/patient/events', {
    sentAt: Date.now(),
    events: batch.map((waiting) => waiting.event),
  });
  if (answer.ok) {
    // Both are kept at the clinic: the stored ones in the record, the others for a person to look at.
    await store.removeEvents([...answer.value.stored, ...answer.value.conflicts]);
    return 'sent';
  }
  if (answer.status === 401 || answer.status === 403) return 'link ended';
  if (answer.status !== 400) return 'saved here';
  // One unreadable event must not hold up the others.
  if (batch.length > 1) {
    for (const one of batch) {
      const outcome = await send([one]);
      if (outcome !== 'sent') return outcome;
    }
    return 'sent';
  }
  await store.addEvents(batch.map((event) => ({ ...event, refused: answer.say })));
  return 'sent';
}
