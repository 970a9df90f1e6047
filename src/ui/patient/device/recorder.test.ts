import 'fake-indexeddb/auto';
import type { PackDay, PackSession, PatientPack } from '@/core/exchange';
import { deviceStore } from './store';

const delivered = jest.fn(async () => ({ state: 'saved here', count: 0 }));
jest.mock('./outbox', () => ({ deliver: () => delivered() }));

import { flushPending, recorder, tellDay } from './recorder';

/** What the phone tells of a session, as it is kept on the device. */
const programme = { id: 'programme', version: 2, rounds: 1 };
const day = { date: '2026-11-27', programme } as PackDay;
const pack = { patientId: 'recorded', days: [day] } as unknown as PatientPack;
const session = { key: 'session-1', lines: [0, 1] } as unknown as PackSession;
const rep = (n: number) => ({
  round: 1,
  side: null,
  direction: 1,
  station: 1,
  set: 1,
  rep: n,
  held: 10,
  moved: 0,
});

beforeEach(async () => {
  Object.assign(globalThis, { localStorage: undefined });
  const store = await deviceStore();
  await store.removeEvents((await store.waiting('recorded')).map(({ id }) => id));
});

async function told() {
  const events = await (await deviceStore()).waiting('recorded');
  return events
    .map(({ event }) => event)
    .sort((a, b) => a.deviceAt - b.deviceAt || a.offsetMs - b.offsetMs)
    .map(({ body }) => body);
}

const kept = async () =>
  (await (await deviceStore()).sessionsOf('recorded')).sort((a, b) => a.savedAt - b.savedAt).at(-1);

it('tells a line once it is over, with its repetitions in order, and the end after it', async () => {
  const record = recorder(pack, day, session, 'least', null);
  record.begin();
  record.reps('first', [rep(1)], 2);
  record.reps('first', [rep(2)], 4);
  record.reps('second', [rep(1)], 7);
  await record.ended();
  expect(await told()).toEqual([
    { type: 'started' },
    { type: 'line', lineage: 'first', reps: [rep(1), rep(2)], skipped: null },
    { type: 'line', lineage: 'second', reps: [rep(1)], skipped: null },
    { type: 'ended' },
  ]);
  expect(await kept()).toMatchObject({ over: true, pending: [], pendingLine: '' });
});

it('keeps what no event tells yet, so that a killed page loses nothing', async () => {
  const record = recorder(pack, day, session, 'most', null);
  record.begin();
  record.reps('first', [rep(1)], 2);
  record.lineOver();
  record.reps('second', [rep(1), rep(2)], 5);
  // It is kept beside what goes on: waited for, however slow the machine.
  while ((await kept())?.pendingLine !== 'second')
    await new Promise((resolve) => setTimeout(resolve, 10));
  expect(await kept()).toMatchObject({ pendingLine: 'second', index: 5, end: 'most', over: false });
  await flushPending('recorded');
  expect((await told()).at(-1)).toEqual({
    type: 'line',
    lineage: 'second',
    reps: [rep(1), rep(2)],
    skipped: null,
  });
  await flushPending('recorded');
  expect(await told()).toHaveLength(3);
});

it('tells a skipped line with its reason, and a report after what was done before it', async () => {
  const record = recorder(pack, day, session, 'least', null);
  record.begin();
  record.skipped('first', 'pain', 3);
  record.reps('second', [rep(1)], 5);
  const report = { complaint: 'pain', severity: 6, compared: 'new', furthest: null } as never;
  record.reported('', report, 'stop today');
  await record.stopped('symptom');
  expect(await told()).toEqual([
    { type: 'started' },
    { type: 'line', lineage: 'first', reps: [], skipped: 'pain' },
    { type: 'line', lineage: 'second', reps: [rep(1)], skipped: null },
    { type: 'report', lineage: null, report, advice: 'stop today' },
    { type: 'stopped', because: 'symptom' },
  ]);
});

it('goes on with a session that was left, without beginning it again, later than it was left', async () => {
  const left = { ...(await begun()), savedAt: Date.now() - 60_000, offsetMs: 30_000 };
  const record = recorder(pack, day, session, 'least', left);
  record.begin();
  await record.checkIn(3, null, '');
  const events = await (await deviceStore()).waiting('recorded');
  const [last] = events.map(({ event }) => event).sort((a, b) => b.offsetMs - a.offsetMs);
  expect(last?.body).toEqual({ type: 'check-in', pain: 3, effort: null, word: '' });
  expect(last?.sessionId).toBe(left.id);
  // Half a minute played, a minute away.
  expect(last?.offsetMs).toBeGreaterThanOrEqual(90_000);
  expect((await told()).filter(({ type }) => type === 'started')).toEqual([]);
});

async function begun() {
  const record = recorder(pack, day, session, 'least', null);
  record.begin();
  await record.stopped('enough');
  const found = await kept();
  const store = await deviceStore();
  await store.removeEvents((await store.waiting('recorded')).map(({ id }) => id));
  if (!found) throw new Error('nothing kept');
  return found;
}

it('a failed write stops nothing behind it', async () => {
  const store = await deviceStore();
  const keep = jest.spyOn(store, 'keepSession').mockRejectedValueOnce(new Error('broken'));
  const record = recorder(pack, day, session, 'least', null);
  record.begin();
  await record.ended();
  keep.mockRestore();
  expect((await told()).map(({ type }) => type)).toEqual(['started', 'ended']);
});

it('tells of a day under the day’s own key and programme', async () => {
  await tellDay(pack, '2026-11-27', {
    type: 'morning',
    date: '2026-11-27' as never,
    soreness: 'none',
  });
  const [waiting] = await (await deviceStore()).waiting('recorded');
  expect(waiting?.event).toMatchObject({ sessionKey: 'day', programmeId: 'programme', version: 2 });
  expect(delivered).toHaveBeenCalled();
});
