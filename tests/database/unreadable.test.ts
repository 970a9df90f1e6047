import { createClient } from '@libsql/client';
import { instantAt } from '@/core/schedule';
import type { PatientId } from '@/core/units';
import { databaseUrl, messagesOf } from '@/db';
import { catalogueFor, saveExercise } from '@/server/desk/exercises';
import { eachClinic } from '@/server/each-clinic';
import { morningList } from '@/server/morning-list';
import { planReminders } from '@/server/patient/outbox';
import { saveSettings } from '@/server/patient/settings';
import { asProblem, unreadableIn } from '@/server/problem';
import { newestHistory, saveEntry } from '@/server/visit/entries';
import { latestMeasures, saveMeasurements } from '@/server/visit/measuring';
import {
  ZONE,
  makeClinic,
  makePatient,
  minute,
  ownDomain,
  ownDraft,
  prescribe,
  today,
} from '../support/clinic';
import { patientHere, settings } from '../support/patient-here';
import { databaseStage, measure, patientOf } from '../support/stage';

/** What another program, or a cut, has spoilt: named where it is, and nobody else is kept from theirs. */
const stage = databaseStage('unreadable');

async function spoil(table: string, column: string, patientId: string, value: string) {
  const client = createClient({ url: databaseUrl() });
  await client.execute(`DROP TRIGGER IF EXISTS ${table}_no_update`);
  await client.execute({
    sql: `UPDATE ${table} SET ${column} = ? WHERE patient_id = ?`,
    args: [value, patientId],
  });
  client.close();
}

/** The exercises of a patient's lines, as they were sent. */
async function spoilLines(patientId: string) {
  const client = createClient({ url: databaseUrl() });
  await client.execute('DROP TRIGGER IF EXISTS programme_line_no_update');
  await client.execute({
    sql: `UPDATE programme_line SET exercise = '{' WHERE programme_id IN (SELECT id FROM programme WHERE patient_id = ?)`,
    args: [patientId],
  });
  client.close();
}

async function failure(work: Promise<unknown>): Promise<unknown> {
  try {
    await work;
  } catch (error) {
    return error;
  }
  throw new Error('nothing failed');
}

async function measured() {
  const { practitioner } = stage;
  const patientId = await makePatient(practitioner);
  const draft = measure({ kind: 'deep-flexor-hold', side: null, trials: [12] });
  await saveMeasurements(practitioner, { patientId, measurements: [draft] });
  return { patientId, id: draft.id, patient: await patientOf(stage, patientId) };
}

it.each(['{', '7', '{"body":null}', '{"body":{"form":"no such form"}}'])(
  'a measurement that is none (%s) is named with its id, and is no failure of the page',
  async (value) => {
    const { patientId, id, patient } = await measured();
    await spoil('measurement', 'details', patientId, value);
    const error = await failure(latestMeasures(patient));
    const say = `Part of this record cannot be read: a measurement (${id}).`;
    expect(unreadableIn(error)).toContain(say);
    expect(asProblem(error)).toMatchObject({
      status: 409,
      say: expect.stringContaining(say) as string,
    });
  },
);

it('an entry of the file is read as its kind promises', async () => {
  const { practitioner } = stage;
  const patientId = await makePatient(practitioner);
  const text = 'x';
  await saveEntry(practitioner, {
    id: crypto.randomUUID(),
    patientId,
    kind: 'history',
    supersedes: null,
    on: today(),
    body: {
      onset: text,
      aggravates: text,
      eases: text,
      morning: text,
      day: text,
      night: text,
      medicines: text,
      earlierCare: text,
      irritability: null,
    },
  });
  const patient = await patientOf(stage, patientId);
  expect((await newestHistory(patient))?.onset).toBe('x');
  await spoil('file_entry', 'body', patientId, '{"note":"of another kind"}');
  expect(unreadableIn(await failure(newestHistory(patient)))).toContain('(history)');
});

it('one record keeps nobody else from the morning list, and is asked about first', async () => {
  const { practitioner } = stage;
  const well = await makePatient(practitioner, 'Well Kept');
  const spoilt = await makePatient(practitioner, 'Spoilt Record');
  for (const id of [well, spoilt])
    await prescribe(practitioner, id, [{ exerciseId: 'tuck-lying', dose: '10x10s' }]);
  await spoil('programme_version', 'reason', spoilt, '');
  await spoilLines(spoilt);
  const list = await morningList(practitioner, {
    search: '',
    practitionerId: null,
    group: null,
    page: 1,
  });
  const row = (id: string) =>
    list.groups.flatMap(({ rows }) => rows).find(({ patientId }) => patientId === id);
  expect(row(spoilt)).toMatchObject({ level: 'call today', rule: 'unreadable record' });
  expect(row(spoilt)?.reason).toContain('an exercise as it was sent');
  expect(row(well)?.rule).not.toBe('unreadable record');
  // It holds until midnight where the patient lives, and is reckoned anew then.
  const rows = createClient({ url: databaseUrl() });
  const kept = await rows.execute({
    sql: 'SELECT stale_at FROM triage_row WHERE patient_id = ?',
    args: [spoilt],
  });
  rows.close();
  expect(kept.rows[0]?.stale_at).toBe(instantAt(ZONE, today(1), minute(0)));
});

describe('what the morning list reads beside its rows', () => {
  const asked = { search: '', practitionerId: null, group: null, page: 1 } as const;
  async function rows() {
    const { groups } = await morningList(stage.practitioner, asked);
    return new Map(groups.flatMap((group) => group.rows).map((row) => [row.patientId, row]));
  }
  async function pair() {
    const [well, spoilt] = [
      await makePatient(stage.practitioner, 'Well Kept'),
      await makePatient(stage.practitioner, 'Spoilt Record'),
    ];
    for (const id of [well, spoilt])
      await prescribe(stage.practitioner, id, [{ exerciseId: 'tuck-lying', dose: '10x10s' }]);
    const before = await rows();
    return { well, spoilt, before };
  }

  it('keeps nobody else from the list where it cannot be read, and the row says so', async () => {
    const { well, spoilt, before } = await pair();
    await saveEntry(stage.practitioner, {
      id: crypto.randomUUID(),
      patientId: spoilt,
      kind: 'next-visit',
      supersedes: null,
      on: today(),
      body: { date: today(9), minute: null, way: 'in the room', note: '' },
    });
    expect((await rows()).get(spoilt as PatientId)?.nextVisit?.date).toBe(today(9));
    await spoil('file_entry', 'body', spoilt, '{');
    const after = await rows();
    expect(after.get(spoilt as PatientId)?.also.join()).toContain(
      'Cannot be read: an entry of the file (next-visit).',
    );
    expect(after.get(spoilt as PatientId)?.reason).toBe(before.get(spoilt as PatientId)?.reason);
    expect(after.get(well as PatientId)).toEqual(before.get(well as PatientId));
  });

  it('has a row that cannot be read made anew', async () => {
    const { well, spoilt, before } = await pair();
    await spoil('triage_row', 'body', spoilt, '{"level":"steady"');
    const after = await rows();
    expect(after.get(spoilt as PatientId)).toEqual(before.get(spoilt as PatientId));
    expect(after.get(well as PatientId)).toEqual(before.get(well as PatientId));
  });
});

describe('what is done for everybody behind the pages', () => {
  it('goes on with the next clinic where it fails with one', async () => {
    const other = await makeClinic('another', ownDomain());
    const asked: string[] = [];
    await eachClinic('test', async (clinicId) => {
      asked.push(clinicId);
      if (asked.length === 1) throw new Error('of one clinic');
    });
    expect(asked.length).toBeGreaterThan(1);
    expect(asked).toContain(other.id);
  });

  it.each([
    ['what they asked for', (id: string) => spoil('file_entry', 'body', id, '{')],
    ['their programme', spoilLines],
  ])('reminds everybody else where %s of one cannot be read', async (_what, spoilt) => {
    const both = [
      await patientHere(stage.practitioner),
      await patientHere(stage.practitioner),
    ].sort((one, other) => (one.id < other.id ? -1 : 1));
    const [first, second] = both;
    if (!first || !second) throw new Error('no patients');
    for (const here of both)
      await saveSettings(here, {
        ...settings(),
        wakeMinute: minute(420),
        sleepMinute: minute(1320),
      });
    // Who is asked about first: whoever comes after must not wait for them.
    await spoilt(first.id);
    for (let at = 420; at < 1320; at += 15)
      await planReminders(instantAt(ZONE, today(), minute(at)));
    const whose = (await messagesOf(second.clinicId)).map(({ message }) => message.patientId);
    expect(whose).toContain(second.id);
    expect(whose).not.toContain(first.id);
  });
});

it('other failures are not said to be unreadable', () => {
  expect(unreadableIn(new Error('x'))).toBeNull();
});

it('an exercise of the clinic’s own that cannot be read keeps nobody from the list', async () => {
  const patientId = await makePatient(stage.practitioner, 'Well Kept');
  await prescribe(stage.practitioner, patientId, [{ exerciseId: 'tuck-lying', dose: '10x10s' }]);
  for (const name of ['First of our own', 'Second of our own'])
    await saveExercise(stage.practitioner, {
      id: crypto.randomUUID(),
      exercise: ownDraft(name),
    });
  const client = createClient({ url: databaseUrl() });
  await client.execute(
    `UPDATE clinic_exercise SET body = '{' WHERE id IN (SELECT min(id) FROM clinic_exercise)`,
  );
  await client.execute('DELETE FROM triage_row');
  client.close();
  const { groups } = await morningList(stage.practitioner, {
    search: '',
    practitionerId: null,
    group: null,
    page: 1,
  });
  const row = groups.flatMap(({ rows }) => rows).find((one) => one.patientId === patientId);
  expect(row?.rule).not.toBe('unreadable record');
  // Where exercises are chosen it is named.
  expect(unreadableIn(await failure(catalogueFor(stage.practitioner.clinicId)))).toContain(
    'an exercise of the clinic’s own',
  );
});
