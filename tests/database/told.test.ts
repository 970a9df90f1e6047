import { randomUUID } from 'node:crypto';
import type { SessionEventBody, ToldDraft } from '@/core/records';
import { type LocalDate, addDays } from '@/core/units';
import {
  daysDone,
  eventsOfDay,
  openAlertsOf,
  pausesOf,
  sessionsPage,
  toldPage,
  versionsOf,
} from '@/db';
import { eventOf } from '../support/record';
import { saveTold, takeBackTold, toldForm } from '@/server/told';
import { takeIn } from '@/server/take-in';
import { now, setClock } from '@/server/clock';
import {
  device,
  makeClinic,
  makePatient,
  member,
  ownDomain,
  prescribe,
  today,
} from '../support/clinic';
import { databaseStage, patientOf } from '../support/stage';

/** A day of a patient without a phone, written down as they told it. */
const stage = databaseStage('told');
const DAYS_AGO = 6;

async function withProgramme(dose = '3x10 2/day daily') {
  setClock(() => Date.now() - DAYS_AGO * 86_400_000);
  const patientId = await makePatient(stage.practitioner, 'Wren Tarbuck');
  await prescribe(stage.practitioner, patientId, [{ exerciseId: 'tuck-lying', dose }]);
  setClock(null);
  const { clinicId } = stage.practitioner;
  const [version] = (await versionsOf(clinicId, [patientId])).get(patientId) ?? [];
  const [line] = version?.lines ?? [];
  if (!version || !line) throw new Error('no line');
  return { patientId, lineage: line.lineage, programmeId: version.version.programmeId };
}
type Told = Awaited<ReturnType<typeof withProgramme>>;

const draft = ({ patientId, lineage }: Told, change: Partial<ToldDraft> = {}): ToldDraft => ({
  id: randomUUID(),
  patientId,
  date: today(-2),
  at: Date.now(),
  how: 'paper sheet',
  lines: [{ lineage, times: 2 }],
  pain: 3,
  worst: 5,
  morning: 'settled',
  wrong: null,
  note: 'Wet weather',
  ...change,
});
const dayOf = async ({ patientId }: Told, date = today(-2)) =>
  (await daysDone(stage.practitioner.clinicId, [patientId], date, date))[0];

it('counts under the rules of what a phone tells, says who wrote it down, and twice changes nothing', async () => {
  const told = await withProgramme();
  const day = draft(told);
  await saveTold(stage.assistant, day);
  const first = await dayOf(told);
  expect(first).toMatchObject({ sessionsDone: 2, pain: 3 });
  expect(first?.report).toMatchObject({
    worst: 5,
    soreness: 'settled',
    notes: ['Wet weather'],
    writtenDown: true,
  });
  const rows = await eventsOfDay(stage.practitioner.clinicId, told.patientId, today(-2));
  expect(new Set(rows.map(({ writtenBy, writtenHow }) => `${writtenBy} ${writtenHow}`))).toEqual(
    new Set([`${stage.assistant.id} paper sheet`]),
  );
  // Nothing was counted or held: nobody told it.
  expect(rows.some(({ body }) => body.type === 'line' || body.type === 'count')).toBe(false);
  await saveTold(stage.assistant, day);
  expect(await dayOf(told)).toEqual(first);
  // Under the same id nothing else is written.
  for (const other of [{ note: 'Dry' }, { pain: null }, { lines: [] }])
    await expect(saveTold(stage.assistant, { ...day, ...other })).rejects.toMatchObject({
      status: 409,
    });
  expect(await dayOf(told)).toEqual(first);
  expect((await eventsOfDay(stage.practitioner.clinicId, told.patientId, today(-2))).length).toBe(
    rows.length,
  );
});

it('asks for a day of the last weeks, and for today where another one is named', async () => {
  const told = await withProgramme();
  const patient = await patientOf(stage, told.patientId);
  const asked = async (date: LocalDate | null) => (await toldForm(patient, date)).date;
  const { earliest } = await toldForm(patient, null);
  expect(await Promise.all([today(), today(-1), earliest].map(asked))).toEqual([
    today(),
    today(-1),
    earliest,
  ]);
  expect(await Promise.all([today(1), addDays(earliest, -1), null].map(asked))).toEqual([
    today(),
    today(),
    today(),
  ]);
});

it('stands beside what the phone told, and takes no session of it', async () => {
  const told = await withProgramme();
  const here = await device(stage.practitioner, told.patientId);
  const sessionId = randomUUID();
  const base = { ...eventOf({ type: 'started' }), sessionId, programmeId: told.programmeId };
  await takeIn(here, { sentAt: now(), events: [base] });
  const form = await toldForm(await patientOf(stage, told.patientId), null);
  expect(form).toMatchObject({ date: today(), toldSessions: 1, lines: [{ room: 1 }] });
  await expect(saveTold(stage.practitioner, draft(told, { date: today() }))).rejects.toMatchObject({
    status: 409,
    say: expect.stringContaining('more often than this day has sessions left') as string,
  });
  const once = draft(told, { date: today(), lines: [{ lineage: told.lineage, times: 1 }] });
  await saveTold(stage.practitioner, once);
  expect((await dayOf(told, today()))?.done.sessions.map(({ key }) => key).sort()).toEqual([
    'session-1',
    'session-2',
  ]);
});

it('has room for as many sessions as are left, not for those that were told', async () => {
  const told = await withProgramme('3x10 3/day daily');
  const here = await device(stage.practitioner, told.patientId);
  const started = eventOf({ type: 'started' });
  const base = { ...started, sessionId: randomUUID(), programmeId: told.programmeId };
  await takeIn(here, { sentAt: now(), events: [base] });
  const form = await toldForm(await patientOf(stage, told.patientId), null);
  expect(form).toMatchObject({ toldSessions: 1, lines: [{ room: 2 }] });
});

it('has room for what is done as needed, and no session beside the planned where nothing is', async () => {
  const needed = await withProgramme('1-5min rpe 3-5 as needed');
  const form = await toldForm(await patientOf(stage, needed.patientId), today(-2));
  expect(form.lines).toMatchObject([{ lineage: needed.lineage, room: 1 }]);
  const planned = await withProgramme('3x10 2/day daily');
  const other = await toldForm(await patientOf(stage, planned.patientId), today(-2));
  expect(other.lines).toMatchObject([{ room: 2 }]);
});

it('pauses the programme and tells the clinic of a sign to stop, as a phone does', async () => {
  const told = await withProgramme();
  await saveTold(
    stage.assistant,
    draft(told, {
      lines: [],
      pain: null,
      worst: null,
      morning: null,
      note: '',
      wrong: { complaint: 'weakness', severity: 6, compared: 'new' },
    }),
  );
  const { clinicId } = stage.practitioner;
  expect(await openAlertsOf(clinicId, [told.patientId])).toMatchObject([
    { kind: 'stopped for a symptom' },
  ]);
  expect(await pausesOf(clinicId, [told.patientId])).toMatchObject([
    { cause: 'stop', toDate: null, fromDate: addDays(today(-2), 1) },
  ]);
});

it('leaves what was not told untold', async () => {
  const told = await withProgramme();
  await saveTold(
    stage.assistant,
    draft(told, { pain: null, worst: null, morning: null, note: '' }),
  );
  expect((await dayOf(told))?.report).toMatchObject({ worst: null, soreness: null, pains: [] });
  const { clinicId } = stage.assistant;
  const types = (await eventsOfDay(clinicId, told.patientId, today(-2))).map(
    ({ body }) => body.type,
  );
  expect(types).not.toContain('daily');
  expect(types).not.toContain('check-in');
});

it.each<[string, Partial<ToldDraft>, number]>([
  ['of a day to come', { date: today(1) }, 400],
  ['of a day too long ago', { date: today(-61) }, 400],
  ['of a day before there was a programme', { date: today(-20) }, 409],
  ['of a line that is not the patient’s', { lines: [{ lineage: randomUUID(), times: 1 }] }, 409],
])('is refused %s, and nothing changes', async (_name, change, status) => {
  const told = await withProgramme();
  await expect(saveTold(stage.practitioner, draft(told, change))).rejects.toMatchObject({ status });
  expect(await dayOf(told, change.date as never)).toBeUndefined();
});

it('is taken back as a whole, stays in the record, and can be written down anew', async () => {
  const told = await withProgramme();
  const { clinicId } = stage.practitioner;
  const date = today(-2);
  const first = draft(told, { lines: [{ lineage: told.lineage, times: 2 }], pain: 3, worst: 5 });
  await saveTold(stage.assistant, first);
  const doneOn = async () => {
    const [row] = await daysDone(clinicId, [told.patientId], date, date);
    return { sessions: row?.sessionsDone, pain: row?.pain };
  };
  expect(await doneOn()).toEqual({ sessions: 2, pain: 3 });
  const back = { id: randomUUID(), patientId: told.patientId, date };
  await takeBackTold(stage.assistant, back);
  // Sent again it is taken back once.
  await takeBackTold(stage.assistant, back);
  expect(await doneOn()).toEqual({ sessions: 0, pain: null });
  const events = await eventsOfDay(clinicId, told.patientId, date);
  expect(events.filter(({ body }) => body.type === 'taken back')).toHaveLength(1);
  expect(events.length).toBeGreaterThan(3);
  const form = await toldForm(await patientOf(stage, told.patientId), date);
  expect(form).toMatchObject({ toldSessions: 0, isWrittenDown: false, date });
  // A second time there is nothing to take back.
  await expect(takeBackTold(stage.assistant, { ...back, id: randomUUID() })).rejects.toMatchObject({
    status: 409,
  });
  // What leaves with the record, and what a program reads, does not count it either.
  const asked = {
    clinicId,
    patientId: told.patientId,
    days: { from: null, to: null },
    after: null,
    limit: 50,
  };
  expect(await toldPage(asked)).toEqual([]);
  expect(await sessionsPage(asked, 'day')).toEqual([]);
  await saveTold(
    stage.assistant,
    draft(told, { lines: [{ lineage: told.lineage, times: 1 }], pain: 2 }),
  );
  expect(await doneOn()).toEqual({ sessions: 1, pain: 2 });
  expect(await sessionsPage(asked, 'day')).toHaveLength(1);
});

it('leaves what a phone told where it is taken back', async () => {
  const told = await withProgramme();
  const { clinicId } = stage.practitioner;
  const here = await device(stage.practitioner, told.patientId);
  const sessionId = randomUUID();
  const event = (body: SessionEventBody, offsetMs: number) => ({
    ...eventOf(body),
    sessionId,
    programmeId: told.programmeId,
    offsetMs,
  });
  await takeIn(here, {
    sentAt: now(),
    events: [
      event({ type: 'started' }, 0),
      event({ type: 'check-in', pain: 4, word: '' }, 1000),
      event({ type: 'ended' }, 2000),
    ],
  });
  const date = today();
  await saveTold(stage.assistant, draft(told, { date, lines: [], pain: null, worst: 6 }));
  await takeBackTold(stage.assistant, { id: randomUUID(), patientId: told.patientId, date });
  const [row] = await daysDone(clinicId, [told.patientId], date, date);
  expect(row?.pain).toBe(4);
  await expect(
    takeBackTold(stage.assistant, { id: randomUUID(), patientId: told.patientId, date }),
  ).rejects.toMatchObject({ status: 409 });
});

it('is written down by nobody of another clinic', async () => {
  const told = await withProgramme();
  const { emails } = await makeClinic('elsewhere', ownDomain());
  await expect(saveTold(await member(emails.lead), draft(told))).rejects.toMatchObject({
    status: 404,
  });
});
