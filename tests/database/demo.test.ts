import { STORIES } from '../../scripts/demo/stories';
import { wakingOf, zoneOf } from '@/server/programme-facts';
import { foldEvents } from '@/core/history';
import { sentVersion } from '@/core/programme';
import { rmSync } from 'node:fs';
import { addDays, dateRange } from '@/core/units';
import { closeDatabase, daysDone, openAlertsOf, pausesOf, versionsOf } from '@/db';
import { instantAt } from '@/core/schedule';
import { setClock } from '@/server/clock';
import { writtenAhead } from '@/server/clock-look';
import { morningList } from '@/server/morning-list';
import { eventsOfDay, patientById } from '@/db';
import { chance } from '../../scripts/demo/chance';
import { live } from '../../scripts/demo/simulate';
import { DAYS } from '../../scripts/demo/world';
import { ZONE, makeClinic, member, minute, today, useDatabase } from '../support/clinic';
import { temporaryFolder } from '../support/server';

const folders: string[] = [];

afterEach(() => closeDatabase());
afterAll(() => folders.forEach((folder) => rmSync(folder, { recursive: true, force: true })));

const dates = () => dateRange(addDays(today(), 1 - DAYS), today());

/** Lives one story in a database of its own. */
async function lived(name: string, seed = 7, until = DAYS) {
  const folder = temporaryFolder('demo');
  folders.push(folder);
  await useDatabase(folder);
  const clinic = await makeClinic('tide');
  const story = STORIES.find((one) => one.name.startsWith(name));
  if (!story) throw new Error(`no story of ${name}`);
  const practitioner = () => member(clinic.emails.practitioner);
  const { patientId } = await live(story, seed, dates(), practitioner, until);
  const days = await daysDone(clinic.id, [patientId], dates()[0] ?? today(), today());
  return {
    clinic,
    patientId,
    days,
    shares: days.map((row) => [row.localDate, row.sessionsDone, row.pain]),
  };
}

it('lives the same story twice from the same seed, and another from another (long)', async () => {
  const [once, again, other] = [
    await lived('Ansel', 7, 14),
    await lived('Ansel', 7, 14),
    await lived('Ansel', 8, 14),
  ];
  expect(once.shares.length).toBeGreaterThan(10);
  expect(again.shares).toEqual(once.shares);
  expect(other.shares).not.toEqual(once.shares);
}, 240_000);

it('writes nothing of a time that is yet to come, however early in the morning it is made (long)', async () => {
  const early = instantAt(ZONE, today(), minute(5 * 60));
  const clock = jest.spyOn(Date, 'now').mockReturnValue(early);
  try {
    const { clinic } = await lived('Ansel');
    setClock(() => early);
    expect(await writtenAhead(await member(clinic.emails.lead))).toBeNull();
  } finally {
    clock.mockRestore();
    setClock(null);
  }
}, 240_000);

/** Every kept day equals its events folded anew. */
async function foldsHold({ clinic, patientId, days }: Awaited<ReturnType<typeof lived>>) {
  const patient = await patientById(clinic.id, patientId);
  if (!patient) throw new Error('no patient');
  const versions = ((await versionsOf(clinic.id, [patientId])).get(patientId) ?? []).map(
    sentVersion,
  );
  expect(days.length).toBeGreaterThan(20);
  for (const row of days) {
    const events = await eventsOfDay(clinic.id, patientId, row.localDate);
    const anew = foldEvents(row.localDate, events, versions, {
      zone: zoneOf(patient),
      waking: wakingOf(patient),
    });
    expect([row.localDate, row.done, row.report]).toEqual([row.localDate, anew.done, anew.report]);
    expect(row).toMatchObject({ pain: anew.pain, events: events.length });
  }
}

it('tells each story through the same code as real use: fading, never opened, flare and recovery', async () => {
  const fading = await lived('Ylva');
  const half = (from: number, to: number) =>
    fading.days.filter(
      (row) => row.localDate >= (dates()[from] ?? '') && row.localDate < (dates()[to] ?? ''),
    ).length;
  expect(half(0, 20)).toBeGreaterThan(2 * half(40, 60));
  const unopened = await lived('Nessa');
  expect(unopened.days).toEqual([]);
  const practitioner = await member(unopened.clinic.emails.practitioner);
  const asked = { search: '', practitionerId: null, group: null, page: 1 };
  const rows = (await morningList(practitioner, asked)).groups.flatMap((group) => group.rows);
  expect(rows[0]).toMatchObject({ rule: 'link never opened', lastSession: null });
  const flare = await lived('Bodo');
  expect(await pausesOf(flare.clinic.id, [flare.patientId])).toMatchObject([
    { cause: 'stop', fromDate: dates()[32], toDate: dates()[35] },
  ]);
  expect(await openAlertsOf(flare.clinic.id, [flare.patientId])).toEqual([]);
  await foldsHold(flare);
}, 240_000);

it('draws chance from its seed alone', () => {
  const draw = (seed: number) => {
    const luck = chance(seed);
    return [luck.fraction(), luck.whole(100), luck.id()];
  };
  expect(draw(1)).toEqual(draw(1));
  expect(draw(1)).not.toEqual(draw(2));
  expect(draw(1)[2]).toMatch(/^[0-9a-f]{8}-[0-9a-f]{4}-4[0-9a-f]{3}-8[0-9a-f]{3}-[0-9a-f]{12}$/);
});
