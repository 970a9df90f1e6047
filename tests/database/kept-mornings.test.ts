import { randomUUID } from 'node:crypto';
import fc from 'fast-check';
import { morningRow, rowHoldsUntil } from '@/core/morning';
import type { ClinicId } from '@/core/units';
import { createClient } from '@libsql/client';
import {
  type Patient,
  changesAfter,
  changesTold,
  databaseUrl,
  patientById,
  versionsOf,
  write,
} from '@/db';
import { builder } from '@/db/door';
import { patient } from '@/db/schema';
import { setClock } from '@/server/clock';
import { keptMornings } from '@/server/follow/kept-mornings';
import { forgettingChanges } from '@/server/follow/refresh';
import { morningContext, morningFactsOf } from '@/server/follow/triage';
import { markTriage } from '@/server/follow/marks';
import { acknowledge } from '@/server/people';
import { PERIODS_MS } from '@/server/periods';
import { setPaused } from '@/server/save-programme';
import { takeIn } from '@/server/take-in';
import { saveEntry } from '@/server/visit/entries';
import { saveScreening } from '@/server/visit/screening';
import { makeClinic, member, ownDomain, prescribe, today } from '../support/clinic';
import { eventOf } from '../support/record';
import { runs } from '../support/runs';
import { databaseStage, patientOf, screening } from '../support/stage';
import { DAY_MS, beginLife, liveOn } from '../support/life';

/** What is kept in memory of a patient, brought up to date, is what the record says when it is read anew. */
const stage = databaseStage('kept-mornings');
afterEach(() => setClock(null));

/** What is kept, and of whom everything was read. */
function keeping(bounds: Parameters<typeof keptMornings>[1] = {}) {
  const anew: string[] = [];
  const mornings = keptMornings((clinicId: ClinicId, patients: readonly Patient[]) => {
    anew.push(...patients.map(({ id }) => id));
    return morningFactsOf(clinicId, patients);
  }, bounds);
  return {
    ...mornings,
    /** Whom it had to read anew since this was asked. */
    readAnew: () => anew.splice(0),
  };
}

async function said(mornings: Pick<ReturnType<typeof keeping>, 'factsOf'>, ids: readonly string[]) {
  const { clinicId } = stage.practitioner;
  const context = await morningContext(clinicId);
  const patients: Patient[] = [];
  for (const id of ids) patients.push(await patientOf(stage, id));
  return (await mornings.factsOf(clinicId, patients)).map(({ patient, facts }) => ({
    patient: patient.id,
    row: morningRow(facts, context),
    until: rowHoldsUntil(facts, context),
    reports: [...facts.record.reports].sort(),
    done: [...facts.record.facts.done].sort(),
    versions: facts.record.facts.versions,
    alerts: facts.alerts,
    mark: facts.mark,
    known: [facts.record.precautions, facts.record.home],
    lastSession: facts.lastSession,
    lastPain: facts.lastPain,
  }));
}
const anew = { factsOf: morningFactsOf };

/** Two patients in the middle of their programmes, one of them counting a set. */
async function twoLives() {
  const { practitioner } = stage;
  const held = await beginLife(practitioner, [{}], { daysAgo: 6 });
  await liveOn(held, [{}, { pain: 3 }, { skipped: 'no time' }, {}]);
  const counted = await beginLife(
    practitioner,
    [{ exerciseId: 'tuck-lying', dose: '10-max', school: null }],
    { daysAgo: 3 },
  );
  await liveOn(counted, [{}]);
  return [held, counted];
}

type OneLife = Awaited<ReturnType<typeof twoLives>>[number];

const tell = (life: OneLife, body: Parameters<typeof eventOf>[0], daysAgo = 0) =>
  takeIn(life.here, {
    sentAt: Date.now(),
    events: [{ ...eventOf(body), deviceAt: Date.now() - daysAgo * DAY_MS }],
  });

async function takeAlerts({ by, patientId }: OneLife) {
  const [now] = await said(anew, [patientId]);
  for (const { id } of now?.alerts ?? []) await acknowledge(by, id);
}

/** What can happen to a patient while they are kept; a number from 0 to 10 tells one from the next. */
const DEEDS: Readonly<Record<string, (life: OneLife, n: number) => Promise<unknown>>> = {
  'a session': async (life, pain) =>
    liveOn({ ...life, days: (await daysSince(life)) - 1 }, [{ pain }], 'untold'),
  'a counted set': async (life, n) => {
    const [first] =
      (await versionsOf(life.by.clinicId, [life.patientId])).get(life.patientId) ?? [];
    const lineage = first?.lines[0]?.lineage ?? '';
    const place = { round: 1, side: null, direction: 1, station: 1, set: 2 } as const;
    await tell(life, { type: 'count', lineage, ...place, reps: n + 3, load: null });
  },
  'a day told late': (life, pain) => tell(life, { type: 'check-in', pain, effort: 5, word: '' }, 2),
  'the morning after': (life, n) =>
    tell(life, { type: 'morning', date: today(), soreness: n > 5 ? 'flare' : 'none' }),
  'a stop': (life) => tell(life, { type: 'stopped', because: 'symptom' }),
  'an alert taken': async (life) => {
    await tell(life, { type: 'stopped', because: 'symptom' });
    await takeAlerts(life);
  },
  'a pause': (life) => setPaused(life.by, life.patientId, true),
  'no pause': (life, n) => setPaused(life.by, life.patientId, n < 0),
  'a screening': (life, n) =>
    saveScreening(life.by, screening(life.patientId, n > 5 ? ['latex'] : [])),
  'what is at home': (life, n) =>
    saveEntry(life.by, {
      id: randomUUID(),
      patientId: life.patientId,
      kind: 'home',
      supersedes: null,
      on: today(),
      body: { props: [], cannot: [], weights: [n + 1], unit: 'kg', busy: [] },
    }),
  'a row put aside': async (life, n) => {
    await takeAlerts(life);
    const [now] = await said(anew, [life.patientId]);
    const rule = now?.row.rule ?? '';
    const draft = { id: randomUUID(), patientId: life.patientId, rule, days: 2, reason: `${n}` };
    await markTriage(life.by, { ...draft, kind: n > 5 ? 'snoozed' : 'done' });
  },
  'a new version': async ({ by, patientId }, n) => {
    const versions = (await versionsOf(by.clinicId, [patientId])).get(patientId) ?? [];
    const basedOn = versions.at(-1)?.version.number ?? 0;
    const line = { exerciseId: 'tuck-lying', dose: `${n + 5}x10s` };
    await prescribe(by, patientId, [line], { basedOn, reason: 'told', effectiveFrom: today(1) });
  },
};
const daysSince = async ({ start }: OneLife) => Math.floor((Date.now() - start) / DAY_MS) + 1;

it.each(Object.keys(DEEDS))('is told of %s, and says then what the record says', async (name) => {
  const [life] = await twoLives();
  const deed = DEEDS[name];
  if (!life || !deed) throw new Error('nobody');
  if (name === 'no pause') await setPaused(life.by, life.patientId, true);
  const mornings = keeping();
  const ids = [life.patientId];
  await said(mornings, ids);
  const { newest: before } = await changesTold();
  const [was] = await said(anew, ids);
  await deed(life, 7);
  expect(await changesAfter(life.by.clinicId, ids, before)).not.toEqual([]);
  const [now] = await said(mornings, ids);
  expect(now).toEqual((await said(anew, ids))[0]);
  expect(now).not.toEqual(was);
});

it('says after any row of deeds what the record says', async () => {
  const lives = await twoLives();
  const ids = lives.map(({ patientId }) => patientId);
  const mornings = keeping();
  await said(mornings, ids);
  const deed = fc.record({
    what: fc.constantFrom(...Object.keys(DEEDS)),
    who: fc.nat({ max: lives.length - 1 }),
    n: fc.nat({ max: 10 }),
  });
  await fc.assert(
    fc.asyncProperty(fc.array(deed, { minLength: 1, maxLength: 4 }), async (deeds) => {
      for (const { what, who, n } of deeds) await DEEDS[what]?.(lives[who] as OneLife, n);
      expect(await said(mornings, ids)).toEqual(await said(anew, ids));
    }),
    runs(25),
  );
});

describe('who is kept', () => {
  it('reads a session of a patient by its day alone, and everything after anything else', async () => {
    const [life] = await twoLives();
    if (!life) throw new Error('nobody');
    const ids = [life.patientId];
    const mornings = keeping();
    await said(mornings, ids);
    // Nothing has happened yet while it looked on: nobody is kept.
    expect([mornings.readAnew(), mornings.size()]).toEqual([ids, 0]);
    await DEEDS['a session']?.(life, 3);
    await said(mornings, ids);
    expect([mornings.readAnew(), mornings.size()]).toEqual([ids, 1]);
    for (const pain of [2, 4]) {
      await DEEDS['a session']?.(life, pain);
      expect(await said(mornings, ids)).toEqual(await said(anew, ids));
      expect(mornings.readAnew()).toEqual([]);
    }
    await DEEDS['a pause']?.(life, 0);
    await said(mornings, ids);
    expect(mornings.readAnew()).toEqual(ids);
  });

  it('reads everything where a set was counted, which changes what a dose is expected to take', async () => {
    const [, life] = await twoLives();
    if (!life) throw new Error('nobody');
    const ids = [life.patientId];
    const mornings = keeping();
    await said(mornings, ids);
    for (let round = 0; round < 2; round += 1) {
      await DEEDS['a counted set']?.(life, round);
      mornings.readAnew();
      expect(await said(mornings, ids)).toEqual(await said(anew, ids));
      expect(mornings.readAnew()).toEqual(ids);
    }
  });

  it('keeps no more than it may, and nobody who is not asked about', async () => {
    const lives = await twoLives();
    const ids = lives.map(({ patientId }) => patientId);
    let ms = 0;
    const mornings = keeping({ most: 1, clock: () => ms });
    await said(mornings, ids);
    for (const life of lives) await DEEDS['a session']?.(life, 3);
    await said(mornings, ids);
    expect(mornings.size()).toBe(1);
    ms += PERIODS_MS.morningKept - 1;
    mornings.sweep();
    expect(mornings.size()).toBe(1);
    ms += 1;
    mornings.sweep();
    expect(mornings.size()).toBe(0);
  });

  it('lets go first of whom nobody has asked about for longest', async () => {
    const [first, second] = await twoLives();
    const third = await beginLife(stage.practitioner, [{}], { daysAgo: 3 });
    if (!first || !second) throw new Error('nobody');
    const mornings = keeping({ most: 2 });
    const ask = async (life: OneLife) => {
      await DEEDS['a session']?.(life, 1);
      await said(mornings, [life.patientId]);
      return mornings.readAnew();
    };
    // Only what happens after the first question tells with whom something happens.
    for (const life of [first, first, second, first, third]) await ask(life);
    // The first was asked about again before the third came: the second had to make room.
    expect(await ask(first)).toEqual([]);
    expect(await ask(second)).toEqual([second.patientId]);
  });

  it('never says in one clinic what another knows of a record that is in both', async () => {
    const [life] = await twoLives();
    if (!life) throw new Error('nobody');
    const mornings = keeping();
    await said(mornings, [life.patientId]);
    await DEEDS['a session']?.(life, 3);
    await said(mornings, [life.patientId]);
    mornings.readAnew();
    const { emails } = await makeClinic('quay', ownDomain());
    const { clinicId, id: practitionerId } = await member(emails.practitioner);
    const here = await patientOf(stage, life.patientId);
    await write(() => [
      builder()
        .insert(patient)
        .values({ ...here, clinicId, practitionerId }),
    ]);
    const there = await patientById(clinicId, life.patientId);
    if (!there) throw new Error('not in both');
    const [found] = await mornings.factsOf(clinicId, [there]);
    expect(mornings.readAnew()).toEqual([life.patientId]);
    expect(found?.facts.record.facts.versions).toEqual([]);
    expect(found?.facts.lastSession).toBeNull();
  });

  it('reads everything on another day', async () => {
    const [life] = await twoLives();
    if (!life) throw new Error('nobody');
    const ids = [life.patientId];
    const mornings = keeping();
    await said(mornings, ids);
    await DEEDS['a session']?.(life, 3);
    await said(mornings, ids);
    mornings.readAnew();
    const tomorrow = Date.now() + DAY_MS;
    setClock(() => tomorrow);
    const now = await said(mornings, ids);
    expect(mornings.readAnew()).toEqual(ids);
    expect(now).toEqual(await said(anew, ids));
  });
});

it('is told of whatever takes a row of the list away', async () => {
  const client = createClient({ url: databaseUrl() });
  const { rows } = await client.execute(
    "SELECT name FROM sqlite_schema WHERE type = 'trigger' AND name GLOB '[tc]*_*'",
  );
  client.close();
  const named = (prefix: string) =>
    rows
      .map(({ name }) => name as string)
      .filter((name) => name.startsWith(prefix))
      .map((name) => name.slice(prefix.length))
      .sort();
  const stale = named('triage_stale_');
  expect(stale.length).toBeGreaterThan(20);
  // What the clinic has set is read each time.
  expect(named('changed_')).toEqual(stale.filter((name) => name !== 'clinic_update'));
});

it('forgets changes once nobody can ask for them any more', async () => {
  const [life] = await twoLives();
  if (!life) throw new Error('nobody');
  const { clinicId } = life.by;
  const forgetting = forgettingChanges();
  const all = () => changesAfter(clinicId, [life.patientId], 0);
  const before = await all();
  expect(before?.length).toBeGreaterThan(3);
  await forgetting();
  await DEEDS['a pause']?.(life, 0);
  const newest = (await all())?.find(({ what }) => what === 'else');
  expect((await all())?.length).toBe(before?.length);
  await forgetting();
  expect(await all()).toEqual([newest]);
});

it('lets go of what it kept while another process forgot what was changed since', async () => {
  const [life, other] = await twoLives();
  if (!life || !other) throw new Error('nobody');
  const mornings = keeping();
  const ids = [life.patientId];
  // A clock of its own that stood still meanwhile tells nothing, as in a process that was suspended.
  await said(mornings, ids);
  await DEEDS['a pause']?.(life, 0);
  await said(mornings, ids);
  expect(mornings.size()).toBe(1);
  mornings.readAnew();
  await DEEDS['a session']?.(life, 1);
  const forgetting = forgettingChanges();
  await forgetting();
  await DEEDS['a pause']?.(other, 0);
  await forgetting();
  const { clinicId } = life.by;
  const { forgotten, newest } = await changesTold();
  expect(newest).toBeGreaterThan(forgotten);
  expect(await changesAfter(clinicId, ids, 0)).toEqual([]);
  const now = await said(mornings, ids);
  expect(mornings.readAnew()).toEqual(ids);
  expect(now).toEqual(await said(keeping(), ids));
});
