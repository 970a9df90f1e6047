import 'fake-indexeddb/auto';
import { EVENTS_BODY_LIMIT, MOST_EVENTS_POSTED, type SessionEventBody } from '@/core/adherence';
import type { Answer } from '../../forms/post';
import { memoryStore } from './memory-store';
import { type OutboxWorld, outbox } from './outbox';
import { type DeviceStore, type KeptSession, type WaitingEvent, openDeviceStore } from './store';

/** What a phone keeps and sends, on a database in memory. */
const PATIENT = 'patient';

beforeEach(() => {
  Object.assign(globalThis, { localStorage: undefined });
});

let made = 0;
function event(change: Partial<WaitingEvent['event']> = {}, patientId = PATIENT): WaitingEvent {
  made += 1;
  const id = `event-${made}`;
  return {
    id,
    patientId,
    event: {
      id,
      sessionId: 'session',
      sessionKey: 'session-1',
      programmeId: 'programme',
      version: 1,
      deviceAt: made,
      offsetMs: 0,
      body: { type: 'started' },
      ...change,
    },
  };
}

const session = (id: string, change: Partial<KeptSession> = {}): KeptSession => ({
  id,
  patientId: PATIENT,
  date: '2026-11-27',
  key: 'session-1',
  programmeId: 'programme',
  version: 1,
  end: 'least',
  index: 0,
  pending: [],
  pendingLine: '',
  offsetMs: 0,
  savedAt: 0,
  over: false,
  done: {},
  ...change,
});

const ids = (events: readonly WaitingEvent[]) => events.map(({ id }) => id).sort();

async function emptied(): Promise<DeviceStore> {
  const store = await openDeviceStore();
  await store.removeEvents(ids(await store.waiting(PATIENT)));
  return store;
}

/** Makes the next transactions fail, as a full or broken device does. */
function breakWrites(error: Error, times: number) {
  // oxlint-disable-next-line typescript/unbound-method -- applied to its own object below
  const real = IDBDatabase.prototype.transaction;
  let left = times;
  const spy = jest.spyOn(IDBDatabase.prototype, 'transaction').mockImplementation(function (
    this: IDBDatabase,
    ...args: Parameters<typeof real>
  ) {
    if (args[1] === 'readwrite' && left > 0) {
      left -= 1;
      throw error;
    }
    return real.apply(this, args);
  });
  return () => spy.mockRestore();
}

describe('what a device keeps', () => {
  it('stays through a new start of the page, by patient', async () => {
    const [mine, other] = [event(), event({}, 'another')];
    const store = await emptied();
    await store.addEvents([mine, other]);
    await store.keepSession(session('kept', { index: 7 }));
    const again = await openDeviceStore();
    expect(await again.waiting(PATIENT)).toEqual([mine]);
    expect(await again.waiting('another')).toEqual([other]);
    expect(await again.sessionsOf(PATIENT)).toMatchObject([{ id: 'kept', index: 7 }]);
    await again.removeEvents([mine.id, other.id]);
    expect(await again.waiting(PATIENT)).toEqual([]);
  });

  it('finds its connection again after the browser has closed it', async () => {
    const store = await emptied();
    const one = event();
    const mend = breakWrites(new DOMException('closing', 'InvalidStateError'), 1);
    await store.addEvents([one]);
    mend();
    expect(store.full()).toBe(false);
    expect(await (await openDeviceStore()).waiting(PATIENT)).toEqual([one]);
    await store.removeEvents([one.id]);
  });

  it('holds in memory what finds no room, says so, and keeps it as soon as there is room', async () => {
    const store = await emptied();
    const [first, second] = [event(), event()];
    const mend = breakWrites(new DOMException('full', 'QuotaExceededError'), 2);
    await store.addEvents([first]);
    await store.keepSession(session('squeezed', { index: 3 }));
    expect(store.full()).toBe(true);
    expect(ids(await store.waiting(PATIENT))).toEqual([first.id]);
    expect((await store.sessionsOf(PATIENT)).find(({ id }) => id === 'squeezed')?.index).toBe(3);
    mend();
    await store.addEvents([second]);
    expect(store.full()).toBe(false);
    const again = await openDeviceStore();
    expect(ids(await again.waiting(PATIENT))).toEqual(ids([first, second]));
    expect((await again.sessionsOf(PATIENT)).map(({ id }) => id)).toContain('squeezed');
    await store.removeEvents([first.id, second.id]);
  });

  it('never gives an older state of a session than the newest one kept', async () => {
    const store = await emptied();
    await store.keepSession(session('twice', { index: 1 }));
    const mend = breakWrites(new DOMException('full', 'QuotaExceededError'), 1);
    await store.keepSession(session('twice', { index: 2 }));
    mend();
    const kept = (await store.sessionsOf(PATIENT)).filter(({ id }) => id === 'twice');
    expect(kept.map(({ index }) => index)).toEqual([2]);
  });

  it('forgets an old patient’s pack for the newest', async () => {
    const store = await emptied();
    const pack = (patientId: string) => ({ patientId }) as Parameters<DeviceStore['keepPack']>[0];
    await store.keepPack(pack('one'));
    await store.keepPack(pack('two'));
    expect(await store.pack()).toMatchObject({ patientId: 'two' });
  });
});

type Sent = Answer<{ stored: string[]; conflicts: string[] }>;
const took = (events: readonly { id: string }[]): Sent => ({
  ok: true,
  value: { stored: events.map(({ id }) => id), conflicts: [] },
});
const refused = (status: number): Sent => ({
  ok: false,
  status,
  say: `no: ${status}`,
  at: [],
  details: {},
});

/** An outbox over a store in memory, with the posts it made. */
function world(
  answer: (events: readonly WaitingEvent['event'][], nth: number) => Sent | Promise<Sent>,
  change: Partial<OutboxWorld> = {},
) {
  const store = memoryStore();
  const posts: WaitingEvent['event'][][] = [];
  const bytes: number[] = [];
  const { deliver } = outbox({
    store: async () => store,
    now: () => 1_000,
    post: async (_path, body) => {
      const { events } = body as { events: WaitingEvent['event'][] };
      posts.push(events);
      bytes.push(JSON.stringify(body).length);
      return answer(events, posts.length);
    },
    ...change,
  });
  return { store, posts, bytes, deliver };
}

describe('what a device sends', () => {
  it('goes in the order it happened, and is gone from the device once the clinic has it', async () => {
    const { store, posts, deliver } = world(took);
    const [late, early] = [event({ deviceAt: 20 }), event({ deviceAt: 10 })];
    const same = event({ deviceAt: 10, offsetMs: 5 });
    await store.addEvents([late, same, early]);
    expect(await deliver(PATIENT)).toEqual({ state: 'at the clinic' });
    expect(posts.map((events) => events.map(({ id }) => id))).toEqual([
      [early.id, same.id, late.id],
    ]);
    expect(await store.waiting(PATIENT)).toEqual([]);
  });

  it('lets go of what is there with other content: the clinic keeps both', async () => {
    const one = event();
    const { store, deliver } = world(() => ({
      ok: true,
      value: { stored: [], conflicts: [one.id] },
    }));
    await store.addEvents([one]);
    expect(await deliver(PATIENT)).toEqual({ state: 'at the clinic' });
  });

  it.each([
    [0, 'saved here'],
    [404, 'saved here'],
    [409, 'saved here'],
    [429, 'saved here'],
    [500, 'saved here'],
    [503, 'saved here'],
    [401, 'link ended'],
    [403, 'link ended'],
  ] as const)('stays on the device after %s: %s', async (status, state) => {
    const { store, posts, deliver } = world(() => refused(status));
    await store.addEvents([event(), event()]);
    expect(await deliver(PATIENT)).toEqual({ state, count: 2 });
    expect(posts).toHaveLength(1);
    expect(await store.waiting(PATIENT)).toHaveLength(2);
  });

  it.each([400, 413, 422])(
    'sets aside the one event refused with %s, and sends the rest',
    async (status) => {
      const bad = event({ body: { type: 'ended' } });
      const { store, deliver } = world((events) =>
        events.some(({ id }) => id === bad.id) ? refused(status) : took(events),
      );
      await store.addEvents([event(), event(), bad, event(), event()]);
      expect(await deliver(PATIENT)).toEqual({ state: 'refused', count: 1 });
      expect(await store.waiting(PATIENT)).toEqual([{ ...bad, refused: `no: ${status}` }]);
      // It is not tried again, and holds up nothing that comes after it.
      await store.addEvents([event()]);
      expect(await deliver(PATIENT)).toEqual({ state: 'refused', count: 1 });
    },
  );

  it('never posts more than the server’s bounds, in number or in bytes', async () => {
    const many = world(took);
    await many.store.addEvents(Array.from({ length: MOST_EVENTS_POSTED * 2 + 1 }, () => event()));
    expect(await many.deliver(PATIENT)).toEqual({ state: 'at the clinic' });
    expect(many.posts.map(({ length }) => length)).toEqual([200, 200, 1]);
    const large = world(took);
    const reps = Array.from({ length: 2000 }, (_, rep) => ({
      round: 1,
      side: null,
      direction: 1,
      station: 1,
      set: 1,
      rep,
      held: 10.25,
      moved: 0,
    }));
    const body: SessionEventBody = { type: 'line', lineage: 'l', reps, skipped: null };
    await large.store.addEvents(Array.from({ length: 20 }, () => event({ body })));
    expect(await large.deliver(PATIENT)).toEqual({ state: 'at the clinic' });
    expect(large.posts.length).toBeGreaterThan(1);
    for (const size of large.bytes) expect(size).toBeLessThanOrEqual(EVENTS_BODY_LIMIT);
  });

  it('sends again after a device that could not be read: no failure ends the sending', async () => {
    const store = memoryStore();
    let broken = true;
    const { deliver, posts } = world(took, {
      store: async () => {
        if (broken) throw new Error('no database');
        return store;
      },
    });
    expect(await deliver(PATIENT)).toEqual({ state: 'saved here', count: 0 });
    broken = false;
    await store.addEvents([event()]);
    expect(await deliver(PATIENT)).toEqual({ state: 'at the clinic' });
    expect(posts).toHaveLength(1);
  });

  it('sends one delivery at a time, and looks once more when asked meanwhile', async () => {
    let release: () => void = () => undefined;
    const gate = new Promise<void>((resolve) => {
      release = resolve;
    });
    const { store, posts, deliver } = world(async (events, nth) => {
      if (nth === 1) await gate;
      return took(events);
    });
    await store.addEvents([event()]);
    const first = deliver(PATIENT);
    while (posts.length === 0) await new Promise((resolve) => setImmediate(resolve));
    await store.addEvents([event()]);
    const second = deliver(PATIENT);
    release();
    expect(await first).toEqual({ state: 'at the clinic' });
    expect(await second).toEqual({ state: 'at the clinic' });
    expect(posts.map(({ length }) => length)).toEqual([1, 1]);
  });
});
