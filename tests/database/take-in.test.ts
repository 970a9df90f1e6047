import { wakingOf, zoneOf } from '@/server/programme-facts';
import { foldEvents } from '@/core/history';
import { sentVersion } from '@/core/programme';
import { rmSync } from 'node:fs';
import { randomUUID } from 'node:crypto';
import type { RepDone, SessionEventBody } from '@/core/adherence';
import type { DeviceEvent } from '@/core/records';
import { addDays, localDate } from '@/core/units';
import {
  LIST_BOUNDS,
  closeDatabase,
  daysDone,
  eventsOfDay,
  openAlertsOf,
  pausesOf,
  versionsOf,
} from '@/db';
import { read } from '@/db/door';
import { logConflict } from '@/db/schema';
import { now, setClock } from '@/server/clock';
import { takeIn } from '@/server/take-in';
import { revokeLink } from '@/server/links';
import {
  device,
  makeClinic,
  makePatient,
  member,
  prescribe,
  today,
  useDatabase,
} from '../support/clinic';
import { temporaryFolder } from '../support/server';

type Here = Awaited<ReturnType<typeof device>>;
let folder: string;
let practitioner: Awaited<ReturnType<typeof member>>;
let here: Here;

beforeEach(async () => {
  // Sessions of some minutes ago are today's, at whatever hour the test is run.
  const noon = Date.parse(`${today()}T12:00:00Z`);
  setClock(() => noon);
  folder = temporaryFolder('take-in');
  await useDatabase(folder);
  practitioner = await member((await makeClinic('tide')).emails.practitioner);
  const patientId = await makePatient(practitioner);
  await prescribe(practitioner, patientId, [
    { exerciseId: 'tuck-lying', dose: '10x10s' },
    { exerciseId: 'blade-set', dose: 'x10' },
  ]);
  here = await device(practitioner, patientId);
});

afterEach(() => {
  setClock(null);
  closeDatabase();
  rmSync(folder, { recursive: true, force: true });
});

async function version() {
  const all = (await versionsOf(here.clinicId, [here.id])).get(here.id) ?? [];
  const last = all.at(-1);
  if (!last) throw new Error('no version');
  return sentVersion(last);
}

const rep = (n: number, held: number): RepDone => ({
  round: 1,
  side: null,
  direction: 1,
  station: 1,
  set: 1,
  rep: n,
  held,
  moved: 0,
});

/** A session's events as a device makes them, a second apart. */
async function session(
  bodies: readonly SessionEventBody[],
  startedAt: number = now() - 600_000,
): Promise<DeviceEvent[]> {
  const { programmeId, number } = await version();
  const sessionId = randomUUID();
  return bodies.map((body, index) => ({
    id: randomUUID(),
    sessionId,
    sessionKey: 'session-1',
    programmeId,
    version: number,
    deviceAt: startedAt + index * 1000,
    offsetMs: index * 1000,
    body: body,
  }));
}

async function wholeSession(startedAt?: number) {
  const { lines } = await version();
  return session(
    [
      { type: 'started' },
      {
        type: 'line',
        lineage: lines[0]?.lineage ?? '',
        reps: Array.from({ length: 10 }, (_, i) => rep(i + 1, 10)),
        skipped: null,
      },
      {
        type: 'line',
        lineage: lines[1]?.lineage ?? '',
        reps: Array.from({ length: 5 }, (_, i) => rep(i + 1, 0)),
        skipped: 'no time',
      },
      { type: 'ended' },
      { type: 'check-in', pain: 4, word: 'stiff' },
    ],
    startedAt,
  );
}

const post = (events: DeviceEvent[], sentAt: number = now()) => takeIn(here, { sentAt, events });
const stored = (date = today()) => eventsOfDay(here.clinicId, here.id, date);

/** The stored fold of a day, and the same day folded anew from its events. */
async function bothFolds(date = today()) {
  const [row] = await daysDone(here.clinicId, [here.id], date, date);
  const versions = ((await versionsOf(here.clinicId, [here.id])).get(here.id) ?? []).map(
    sentVersion,
  );
  const anew = foldEvents(date, await stored(date), versions, {
    zone: zoneOf(here.patient),
    waking: wakingOf(here.patient),
  });
  const kept = row && { done: row.done, pain: row.pain, report: row.report };
  return { kept, anew };
}

describe('taking in what a device tells', () => {
  it('stores a session, and folds its day', async () => {
    const events = await wholeSession();
    expect(await post(events)).toEqual({ stored: events.map((event) => event.id), conflicts: [] });
    const { kept, anew } = await bothFolds();
    expect(kept).toEqual(anew);
    expect(anew.pain).toBe(4);
    expect(anew.done.lines.map((line) => line.shares)).toEqual([[1], [0.5]]);
    expect(anew.done.sessions).toMatchObject([{ key: 'session-1', state: 'ended' }]);
  });

  it('takes each event once however often it arrives, in any order', async () => {
    const events = await wholeSession();
    for (let time = 0; time < 10; time += 1) await post(time % 2 ? [...events].reverse() : events);
    await Promise.all(events.map((event) => post([event])));
    expect(await stored()).toHaveLength(events.length);
    const { kept, anew } = await bothFolds();
    expect(kept).toEqual(anew);
    expect(anew.done.lines[0]?.shares).toEqual([1]);
  });

  it('takes an event once that stands twice in one delivery, and sets other words apart', async () => {
    const [first, ...others] = await wholeSession();
    if (!first) throw new Error('no event');
    const twice = [first, first, { ...first, deviceAt: first.deviceAt + 1 }, ...others];
    const answer = await post(twice);
    expect(answer.conflicts).toEqual([first.id]);
    expect(await stored()).toHaveLength(others.length + 1);
  });

  it('is the same whether events come one by one or together', async () => {
    const events = await wholeSession();
    for (const event of [...events].reverse()) await post([event]);
    const { kept, anew } = await bothFolds();
    expect(kept).toEqual(anew);
    expect(anew.done.sessions[0]?.share).toBeGreaterThan(0.7);
  });

  it('keeps the same id with other content aside, and alerts once', async () => {
    const [first] = await wholeSession();
    if (!first) throw new Error('no event');
    await post([first]);
    const other = { ...first, deviceAt: first.deviceAt + 5 };
    expect(await post([other])).toEqual({ stored: [], conflicts: [first.id] });
    await post([other]);
    expect(await stored()).toHaveLength(1);
    expect(await read((db) => db.select().from(logConflict))).toHaveLength(1);
    expect(await openAlertsOf(here.clinicId, [here.id])).toMatchObject([
      { kind: 'conflicting log' },
    ]);
  });

  it('takes a session in against a version that has since changed', async () => {
    const events = await wholeSession();
    const { lines } = await version();
    await prescribe(
      practitioner,
      here.id,
      [{ exerciseId: 'tuck-lying', dose: '5x10s', lineage: lines[0]?.lineage ?? null }],
      { basedOn: 1, effectiveFrom: today() },
    );
    await post(events);
    const { anew } = await bothFolds();
    // Against version 1, in which it was played, ten holds are the whole dose.
    expect(anew.done.lines[0]?.shares).toEqual([1]);
  });

  it('refuses a device whose link was ended, and takes the same events in after a new link', async () => {
    const events = await wholeSession();
    await revokeLink(practitioner, here.id);
    await expect(post(events)).rejects.toMatchObject({ guard: 'access' });
    expect(await stored()).toHaveLength(0);
    here = await device(practitioner, here.id);
    await post(events);
    expect(await stored()).toHaveLength(events.length);
  });
});

it('refuses what is more than a day can hold, and keeps what was there', async () => {
  jest.replaceProperty(LIST_BOUNDS, 'eventsOfADay', 5 as never);
  await post(await wholeSession());
  await expect(post(await session([{ type: 'started' }]))).rejects.toMatchObject({ status: 413 });
  expect(await stored()).toHaveLength(5);
  jest.restoreAllMocks();
});

describe('the day of a session', () => {
  it.each([
    ['three days ahead', 3 * 86_400_000],
    ['a year behind', -365 * 86_400_000],
  ])('is right when the device’s clock is %s', async (_, wrong) => {
    const noon = Date.parse(`${today()}T12:00:00Z`);
    setClock(() => noon);
    const events = await wholeSession(noon - 600_000 + wrong);
    await post(events, noon + wrong);
    expect(await stored()).toHaveLength(events.length);
  });

  it('is the day it began, also when sent the next morning', async () => {
    const began = Date.parse('2026-06-10T22:30:00Z'); // 23:30 in Lisbon
    setClock(() => began + 9 * 3_600_000);
    const events = await wholeSession(began);
    await post(events, began + 9 * 3_600_000);
    expect(await eventsOfDay(here.clinicId, here.id, localDate('2026-06-10'))).toHaveLength(
      events.length,
    );
  });

  it('stays what it was when a later event arrives with another clock', async () => {
    const events = await wholeSession();
    await post(events.slice(0, 2));
    await post(events.slice(2), now() + 5 * 86_400_000);
    expect(await stored()).toHaveLength(events.length);
  });
});

describe('the stop rule', () => {
  it('pauses the programme from the next day and alerts the clinic, once', async () => {
    const events = await session([{ type: 'started' }, { type: 'stopped', because: 'symptom' }]);
    await post(events);
    await post(events);
    await post(await session([{ type: 'stopped', because: 'symptom' }]));
    expect(await pausesOf(here.clinicId, [here.id])).toMatchObject([
      { fromDate: addDays(today(), 1), toDate: null, cause: 'stop' },
    ]);
    expect(await openAlertsOf(here.clinicId, [here.id])).toHaveLength(2);
  });

  it('does nothing of the kind when it was only enough', async () => {
    await post(await session([{ type: 'stopped', because: 'enough' }]));
    expect(await pausesOf(here.clinicId, [here.id])).toEqual([]);
    expect(await openAlertsOf(here.clinicId, [here.id])).toEqual([]);
  });
});
