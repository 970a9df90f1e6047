import 'fake-indexeddb/auto';
import type { PatientPack } from '@/core/exchange';
import type { LocalDate, PatientId } from '@/core/units';
import { deviceState, isNew, newestPack } from './device';
import { inTime } from './in-time';
import { deviceStore } from './store';

/** What a phone shows while a connection neither answers nor fails. */
const PATIENT = 'patient' as PatientId;
const SOON_MS = 20;
const PACK = { patientId: PATIENT, format: 3 as PatientPack['format'] };
const made = (at: number) => ({ ...PACK, at }) as unknown as PatientPack;

let answers: ((value: unknown) => void)[] = [];
beforeEach(() => {
  answers = [];
  Object.assign(globalThis, { localStorage: undefined });
  jest.spyOn(globalThis, 'fetch').mockImplementation(
    () =>
      new Promise((resolve) => {
        answers.push((value) => resolve(Response.json(value)));
      }),
  );
});
afterEach(() => jest.restoreAllMocks());

const asked = async () => {
  while (answers.length === 0) await new Promise((done) => setTimeout(done, 1));
};

it('is what came in time, and nothing for what did not', async () => {
  expect(await inTime(Promise.resolve('here'), SOON_MS)).toBe('here');
  expect(await inTime(new Promise(() => undefined), SOON_MS)).toBeNull();
  await expect(inTime(Promise.reject(new Error('broken')), SOON_MS)).rejects.toThrow('broken');
});

it('waits for the clinic’s pack where none is kept', async () => {
  const coming = newestPack(PACK, SOON_MS);
  await asked();
  await new Promise((done) => setTimeout(done, 3 * SOON_MS));
  answers[0]?.({ ok: true, value: made(1) });
  expect(await coming).toEqual({ pack: made(1), fresh: true });
});

it('goes on with the pack that is kept, and keeps the one that comes late', async () => {
  expect(await newestPack(PACK, SOON_MS)).toEqual({ pack: made(1), fresh: false });
  answers[0]?.({ ok: true, value: made(2) });
  const store = await deviceStore();
  while ((await store.pack())?.at !== 2) await new Promise((done) => setTimeout(done, 1));
});

/** A page that a worker stood before, or none; the worker says what it knows, or nothing. */
function cameBy({ workerStart, word }: { workerStart: number; word?: boolean }) {
  jest
    .spyOn(performance, 'getEntriesByType')
    .mockReturnValue([{ workerStart }] as unknown as PerformanceEntry[]);
  const controller = {
    postMessage: (asked: unknown, [port]: [MessagePort]) => {
      expect(asked).toEqual({ whence: true });
      if (word !== undefined) port.postMessage(word);
      else port.close();
    },
  };
  Object.defineProperty(globalThis, 'navigator', {
    configurable: true,
    value: { serviceWorker: { controller } },
  });
}

it('knows a page that the clinic sent just now from one that this phone has kept', async () => {
  await (await deviceStore()).keepPack(made(5));
  cameBy({ workerStart: 0 });
  expect(await isNew(made(6))).toBe(true);
  expect(await isNew(made(5))).toBe(false);
  expect(await isNew(made(4))).toBe(false);
  expect(await isNew({ ...made(4), patientId: 'another' })).toBe(true);
  const store = await deviceStore();
  jest.replaceProperty(store, 'lasts', false);
  expect(await isNew(made(6))).toBe(false);
});

it('takes a page for sent just now only by the word of the worker that stood before it', async () => {
  // The worker keeps the page after the pack: what it shows days later is the newest this phone has.
  await (await deviceStore()).keepPack(made(5));
  cameBy({ workerStart: 3, word: false });
  expect(await isNew(made(6))).toBe(false);
  cameBy({ workerStart: 3, word: true });
  expect(await isNew(made(6))).toBe(true);
  expect(await isNew(made(5))).toBe(false);
  // One of before knows no such question.
  cameBy({ workerStart: 3 });
  expect(await isNew(made(6))).toBe(false);
  Object.defineProperty(globalThis, 'navigator', { configurable: true, value: {} });
  expect(await isNew(made(6))).toBe(false);
});

it('says that it is saved here while sending hangs, and takes it for sent once it is', async () => {
  const store = await deviceStore();
  const date = '2026-12-01' as LocalDate;
  const id = 'event-1';
  const body = { type: 'started' as const };
  await store.addEvents([
    {
      id,
      patientId: PATIENT,
      event: {
        id,
        sessionId: 'session',
        sessionKey: 'session-1',
        programmeId: 'programme',
        version: 1,
        deviceAt: 1,
        offsetMs: 0,
        body,
      },
    },
  ]);
  const { delivery } = await deviceState(PATIENT, date, SOON_MS);
  expect(delivery).toEqual({ state: 'saved here', count: 1 });
  answers[0]?.({ ok: true, value: { stored: [id], conflicts: [] } });
  expect((await deviceState(PATIENT, date)).delivery).toEqual({ state: 'at the clinic' });
});
