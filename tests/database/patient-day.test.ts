import { randomUUID } from 'node:crypto';
import type { SessionEventBody } from '@/core/adherence';
import type { LocalDate } from '@/core/units';
import { auditOf, daysDone, openAlertsOf, patientById, pausesOf, versionsOf } from '@/db';
import { type PatientHere } from '@/server/access';
import { setClock } from '@/server/clock';
import { figureOf } from '@/catalogue/figures';
import { figureFile } from '@/server/patient/figure-file';
import { patientPack } from '@/server/patient-pack';
import { checkBirth, mayHistory } from '@/server/patient/birth';
import { hashToken } from '@/server/secrets';
import { progressOf } from '@/server/patient/progress';
import { pauseMyself, saveSettings, settingsOf } from '@/server/patient/settings';
import { saveEntry } from '@/server/visit/entries';
import { addPatient } from '@/server/people';
import { takeIn } from '@/server/take-in';
import { ZONE, device, makePatient, minute, prescribe, today } from '../support/clinic';
import { databaseStage } from '../support/stage';
import { patientHere, settings } from '../support/patient-here';

const stage = databaseStage('patient-day');
afterEach(() => setClock(null));

async function tell(
  here: PatientHere,
  bodies: readonly SessionEventBody[],
  { key = 'day', at = Date.now() }: { key?: string; at?: number } = {},
) {
  const [version] = (await versionsOf(here.clinicId, [here.id])).get(here.id) ?? [];
  const sessionId = randomUUID();
  const events = bodies.map((body, index) => ({
    id: randomUUID(),
    sessionId,
    sessionKey: key,
    programmeId: version?.version.programmeId ?? randomUUID(),
    version: 1,
    deviceAt: at,
    offsetMs: index,
    body: body,
  }));
  await takeIn(here, { sentAt: Date.now(), events });
  return events;
}

const reportOn = async (here: PatientHere, date = today()) => {
  const [row] = await daysDone(here.clinicId, [here.id], date, date);
  return row?.report ?? null;
};
const daily = (change: Partial<Extract<SessionEventBody, { type: 'daily' }>> = {}) =>
  ({
    type: 'daily',
    date: today(),
    worst: 4,
    where: [],
    headache: false,
    note: '',
    ...change,
  }) as const;

describe('what a phone tells of a day', () => {
  it('stands beside the sessions and is no session itself', async () => {
    const here = await patientHere(stage.practitioner);
    await tell(here, [daily({ where: ['front left forearm'], note: 'windy' })]);
    expect(await reportOn(here)).toMatchObject({ worst: 4, arm: 4, leg: -1, notes: ['windy'] });
    const [row] = await daysDone(here.clinicId, [here.id], today(), today());
    expect(row?.sessionsDone).toBe(0);
    expect(row?.done).toMatchObject({ sessions: [] });
  });

  it('belongs to the day it is about; more than 48 h later it is marked as recalled', async () => {
    const here = await patientHere(stage.practitioner);
    await tell(here, [daily({ date: today(-1) })]);
    expect(await reportOn(here, today(-1))).toMatchObject({ worst: 4, recalled: false });
    await tell(here, [daily({ date: today(-5) })]);
    expect(await reportOn(here, today(-5))).toMatchObject({ worst: 4, recalled: true });
    // A day to come, or one long ago, is put where it was told.
    await tell(here, [daily({ date: today(3), worst: 7 }), daily({ date: today(-90), worst: 8 })]);
    expect(await reportOn(here)).toMatchObject({ worst: 8 });
    expect(await reportOn(here, today(3))).toBeNull();
  });

  it('pauses and alerts once when a report and its stop arrive, together or apart', async () => {
    const here = await patientHere(stage.practitioner);
    const report: SessionEventBody = {
      type: 'report',
      lineage: null,
      report: { complaint: 'weakness', severity: 3, compared: 'new', furthest: null },
      advice: 'stop and call',
    };
    await tell(here, [report, { type: 'stopped', because: 'symptom' }], { key: 'session-1' });
    expect(await pausesOf(here.clinicId, [here.id])).toHaveLength(1);
    expect(await openAlertsOf(here.clinicId, [here.id])).toHaveLength(1);
    expect((await patientPack(here)).days[0].paused).toBe('after a stop');
    const mild = { ...report, advice: 'carry on easier' } as const;
    const other = await patientHere(stage.practitioner);
    await tell(other, [mild]);
    expect(await openAlertsOf(other.clinicId, [other.id])).toEqual([]);
  });
});

describe('the pack of a phone', () => {
  it('holds today and the seven days after it, with what is drawn and said', async () => {
    const here = await patientHere(stage.practitioner);
    const pack = await patientPack(here);
    expect(pack.days.map(({ date }) => date)).toEqual(
      Array.from({ length: 8 }, (_, ahead) => today(ahead)),
    );
    expect(pack.days.every(({ sessions }) => sessions.length > 2)).toBe(true);
    expect(pack.lines[0]?.figure?.poses.length).toBeGreaterThan(1);
    const [, , id, side] = pack.lines[0]?.picture?.address.split(/[/?]/) ?? [];
    const figure = figureOf(id ?? '');
    expect(figure && figureFile(figure, side as 'right').text).toMatch(/^<svg .*<path/);
    // A week of programmes with its pictures is no burden for a phone.
    expect(JSON.stringify(pack).length).toBeLessThan(150_000);
  });

  it('changes over to a version that begins within the week', async () => {
    const here = await patientHere(stage.practitioner);
    await prescribe(
      stage.practitioner,
      here.id,
      [{ exerciseId: 'wall-press', dose: '3x30s rpe 3-5 daily until review' }],
      { basedOn: 1, effectiveFrom: today(2) },
    );
    const pack = await patientPack(here);
    const names = (day: number) =>
      pack.days[day]?.sessions[0]?.lines.map((line) => pack.lines[line]?.name);
    expect(names(1)).toEqual(['Tuck lying down']);
    expect(names(2)).toEqual(['Wall press into a pad']);
    expect(pack.days[2]?.programme?.version).toBe(2);
  });

  it('asks only what is used: the goals once a week, the limb only where one is part of it', async () => {
    const here = await patientHere(stage.practitioner);
    await saveEntry(stage.practitioner, {
      id: randomUUID(),
      patientId: here.id,
      kind: 'goal',
      supersedes: null,
      on: today(),
      body: { activity: 'Ring the bell', by: null, reachedOn: null },
    });
    expect((await patientPack(here)).questions).toMatchObject({
      morning: false,
      daily: true,
      limb: false,
      activities: ['Ring the bell'],
    });
    await tell(here, [
      daily(),
      { type: 'weekly', date: today(), activities: [{ activity: 'Ring the bell', score: 4 }] },
    ]);
    expect((await patientPack(here)).questions).toMatchObject({ daily: false, activities: [] });
    for (const [ago, worst] of [
      [1, 3],
      [2, 9],
      [3, 4],
    ] as const)
      await tell(here, [daily({ date: today(-ago), worst })]);
    // The middle of the days told, so that one bad day does not make the usual.
    expect((await patientPack(here)).baseline.worst).toBe(4);
  });
});

describe('a patient’s own settings', () => {
  it('are kept, leave what the clinic wrote, and stand in the audit', async () => {
    const here = await patientHere(stage.practitioner);
    await saveEntry(stage.practitioner, {
      id: randomUUID(),
      patientId: here.id,
      kind: 'home',
      supersedes: null,
      on: today(),
      body: { props: ['bench'], weights: [2, 4], unit: 'kg', cannot: ['kneeling'], busy: [] },
    });
    await saveSettings(here, settings());
    const patient = await patientById(here.clinicId, here.id);
    expect(patient).toMatchObject({
      minutesADay: 15,
      wakeMinute: minute(400),
      sleepMinute: minute(1300),
    });
    expect(await settingsOf({ ...here, patient: patient ?? here.patient })).toMatchObject({
      props: ['soft ball'],
      reminders: { sessions: true, address: '+000 1' },
    });
    expect(
      (await auditOf(here.clinicId, here.id)).some(({ verb }) => verb === 'set the day of'),
    ).toBe(true);
  });

  it('pause days that are seen by the clinic and not counted', async () => {
    const here = await patientHere(stage.practitioner);
    const pause = { id: randomUUID(), from: today(), to: today(2), reason: 'ill' as const };
    await pauseMyself(here, pause);
    await pauseMyself(here, pause);
    const pack = await patientPack(here);
    expect(pack.days.map(({ paused }) => paused).slice(0, 4)).toEqual([
      'by you',
      'by you',
      'by you',
      'no',
    ]);
    expect(await pausesOf(here.clinicId, [here.id])).toMatchObject([
      { cause: 'patient', reason: 'ill', toDate: today(2) },
    ]);
    await expect(
      pauseMyself(here, { ...pause, id: randomUUID(), to: today(200) }),
    ).rejects.toMatchObject({ status: 400 });
    await expect(
      pauseMyself(here, { ...pause, id: randomUUID(), from: today(-30), to: today() }),
    ).rejects.toMatchObject({ status: 400 });
  });
});

describe('a found phone', () => {
  it('shows the history only after the birth date, where the clinic keeps one', async () => {
    const { id } = await addPatient(stage.practitioner, {
      id: randomUUID(),
      name: 'Wrasse',
      complaint: 'Neck',
      zone: ZONE,
      wakeMinute: minute(420),
      sleepMinute: minute(1320),
      minutesADay: null,
      birthDate: '1980-02-29' as LocalDate,
    });
    const here = await device(stage.practitioner, id);
    expect(await mayHistory(here, undefined)).toBe(false);
    await expect(checkBirth(here, '1980-02-28')).rejects.toMatchObject({ status: 403 });
    const proof = await checkBirth(here, '1980-02-29');
    expect(await mayHistory(here, proof)).toBe(true);
    // Nobody makes a proof of what they know: the device's own cookie, and the right date.
    for (const made of [
      hashToken(`${here.tokenHash} 1980-02-29`),
      hashToken(`${hashToken(here.token)} 1980-02-29`),
      '',
      'null',
    ])
      expect([made, await mayHistory(here, made)]).toEqual([made, false]);
    // A corrected date asks again; a later answer takes the place of an earlier one.
    const corrected = {
      ...here,
      patient: { ...here.patient, birthDate: '1981-02-28' as LocalDate },
    };
    expect(await mayHistory(corrected, proof)).toBe(false);
    const newer = await checkBirth(here, '1980-02-29');
    expect([await mayHistory(here, newer), await mayHistory(here, proof)]).toEqual([true, false]);
    const elsewhere = await device(stage.practitioner, id);
    expect(await mayHistory(elsewhere, newer)).toBe(false);
    for (let i = 0; i < 5; i += 1) await checkBirth(elsewhere, '1999-01-01').catch(() => undefined);
    await expect(checkBirth(elsewhere, '1980-02-29')).rejects.toMatchObject({ status: 429 });
    expect(await mayHistory(await patientHere(stage.practitioner), undefined)).toBe(true);
  });
});

describe('how it is going', () => {
  it('is nothing before anything was told, then words with numbers', async () => {
    const id = await makePatient(stage.practitioner);
    const bare = await device(stage.practitioner, id);
    expect(await progressOf(bare)).toMatchObject({ sessions: null, pain: null, days: [] });
    const here = await patientHere(stage.practitioner);
    const version = (await versionsOf(here.clinicId, [here.id])).get(here.id)?.[0];
    const lineage = version?.lines[0]?.lineage ?? '';
    const reps = Array.from({ length: 10 }, (_, index) => ({
      round: 1,
      side: null,
      direction: 1,
      station: 1,
      set: 1,
      rep: index + 1,
      held: 10,
      moved: 0,
    }));
    await tell(here, [{ type: 'line', lineage, reps, skipped: null }, { type: 'ended' }], {
      key: 'session-1',
    });
    await tell(here, [
      { type: 'weekly', date: today(), activities: [{ activity: 'Ring', score: 3 }] },
    ]);
    // Today's second session is still to come: it is not missed.
    expect(await progressOf(here)).toMatchObject({
      sessions: { done: 1, due: 1 },
      activities: [{ activity: 'Ring', from: 3, to: 3, scores: [{ date: today(), score: 3 }] }],
    });
  });
});
