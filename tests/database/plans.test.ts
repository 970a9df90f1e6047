import { eventOf } from '../support/record';
import { type Client, type InArgs, type InStatement, createClient } from '@libsql/client';
import { databaseUrl, optimizeDatabase, patientById, patientsAfter } from '@/db';
import { processWide } from '@/db/process-wide';
import type { PatientHere } from '@/server/access';
import { fileHeader } from '@/server/follow/file-header';
import { shownProposals } from '@/server/follow/proposals';
import { refreshTriage } from '@/server/follow/refresh';
import { rowsFor } from '@/server/follow/triage';
import { reviewOf } from '@/server/follow/review';
import { followOf } from '@/server/follow/strips';
import { morningList } from '@/server/morning-list';
import { patientPack } from '@/server/patient-pack';
import { progressOf } from '@/server/patient/progress';
import { deskOf } from '@/server/plan';
import { takeIn } from '@/server/take-in';
import { noteStep } from '@/server/visit/note';
import { measureStep } from '@/server/visit/measure-step';
import { screenStep } from '@/server/visit/screen-step';
import { teachStep } from '@/server/visit/teaching';
import { device, makePatient, prescribe } from '../support/clinic';
import { databaseStage } from '../support/stage';

/** Every statement that the process has asked since they were cleared, with the values it asked with. */
const statements = new Map<string, InArgs>();

/** Notes what reaches the client behind the door. */
function noteStatements(): void {
  const client = processWide<{ client: Client }>('database').value?.client;
  if (!client) throw new Error('no database is open');
  const note = (one: InStatement) => {
    if (typeof one !== 'string') statements.set(one.sql, one.args ?? []);
  };
  const execute: (one: InStatement) => ReturnType<Client['execute']> = client.execute.bind(client);
  client.execute = (one: InStatement) => {
    note(one);
    return execute(one);
  };
  const batch = client.batch.bind(client);
  client.batch = (all: InStatement[], mode) => {
    all.forEach(note);
    return batch(all, mode);
  };
}

/**
 * How the database finds what pages and posts ask for, at a size where it shows: one patient's page
 * never reads through a clinic.
 */
const stage = databaseStage('plans');
const PATIENTS = 600;
/** Tables with a row, or many, for every patient. */
const LARGE =
  'patient|episode|visit|programme|programme_version|programme_line|pause|alert|session_event|day_done|screening|screening_decision|referral|referral_answer|file_entry|measurement|photo|photo_marking|finding|teach_back|visit_note|proposal_decision|outcome_letter|triage_row|triage_mark|patient_link|patient_device|calendar_link|message';

let here: PatientHere;

/** Copies of one patient with programme and days, made by the database itself. */
async function fillClinic(patientId: string): Promise<void> {
  const client = createClient({ url: databaseUrl() });
  const many = `WITH RECURSIVE n(i) AS (SELECT 1 UNION ALL SELECT i + 1 FROM n WHERE i < ${PATIENTS})`;
  const columns = async (table: string) =>
    (await client.execute(`PRAGMA table_info(${table})`)).rows.map((row) => row.name as string);
  for (const table of [
    'patient',
    'episode',
    'programme',
    'programme_version',
    'programme_line',
    'patient_link',
  ]) {
    const names = await columns(table);
    const copied = names.map((name) =>
      ['id', 'patient_id', 'programme_id', 'episode_id', 'token_hash'].includes(name)
        ? `"${name}" || '-' || i`
        : name === 'visit_id'
          ? 'NULL'
          : `"${name}"`,
    );
    const own =
      table === 'patient'
        ? `id = '${patientId}'`
        : table === 'programme_line'
          ? `programme_id IN (SELECT id FROM programme WHERE patient_id = '${patientId}')`
          : `patient_id = '${patientId}'`;
    await client.execute(
      `${many} INSERT INTO ${table} (${names.map((name) => `"${name}"`).join(', ')}) SELECT ${copied.join(', ')} FROM ${table}, n WHERE ${own}`,
    );
  }
  await client.execute(
    `${many}, d(k) AS (SELECT 0 UNION ALL SELECT k + 1 FROM d WHERE k < 40)
     INSERT INTO day_done (clinic_id, patient_id, local_date, done, sessions_done, pain, report, events)
     SELECT '${here.clinicId}', '${patientId}-' || i, date('now', '-' || k || ' days'), '{"lines":[],"sessions":[]}', 0, NULL, '{}', 0 FROM n, d`,
  );
  // Events too, or the statistics say that reading them all is as quick.
  await client.execute(
    `${many}, d(k) AS (SELECT 0 UNION ALL SELECT k + 1 FROM d WHERE k < 20)
     INSERT INTO session_event (clinic_id, patient_id, id, session_id, session_key, programme_id, version, local_date, body, payload_hash, device_at, skew_ms, offset_ms, received_at, episode_id)
     SELECT e.clinic_id, e.patient_id, e.id || k, e.id || k, 'session-1', 'none', 1, date('now', '-' || k || ' days'), '{"type":"started"}', '', 0, 0, 0, 0, e.id FROM episode e, d WHERE e.patient_id LIKE '${patientId}-%'`,
  );
  client.close();
}

beforeAll(async () => {
  noteStatements();
  const { practitioner } = stage;
  const patientId = await makePatient(practitioner);
  await prescribe(practitioner, patientId, [
    { exerciseId: 'tuck-lying', dose: '10x10s' },
    { exerciseId: 'blade-set', dose: '10x5s' },
  ]);
  here = await device(practitioner, patientId);
  await fillClinic(patientId);
}, 120_000);

/** Everything one patient's pages, posts and phone ask for. */
async function onePatient(): Promise<void> {
  const { practitioner } = stage;
  const patient = await patientById(here.clinicId, here.id);
  if (!patient) throw new Error('no patient');
  await patientPack(here);
  await progressOf(here);
  await takeIn(here, { sentAt: Date.now(), events: [eventOf({ type: 'started' })] });
  await takeIn(here, {
    sentAt: Date.now(),
    events: [eventOf({ type: 'stopped', because: 'symptom' })],
  });
  await fileHeader(practitioner, patient);
  await screenStep(practitioner, patient, 'Neck');
  await measureStep(practitioner, patient);
  await deskOf(practitioner, patient);
  await teachStep(practitioner, patient);
  await noteStep(practitioner, patient, 'Neck');
  await followOf(practitioner, patient);
  await shownProposals(patient);
  await reviewOf(practitioner, patient);
}

const detailOf = (row: { readonly [name: string]: unknown }) => row.detail as string;

/** Steps of a plan that read a large table without its patient, or without any index. */
async function scansIn(): Promise<string[]> {
  const client = createClient({ url: databaseUrl() });
  const found: string[] = [];
  for (const [sql, args] of [...statements]) {
    if (!/^(select|insert|update|delete|with)/i.test(sql.trim())) continue;
    const { rows } = await client.execute({ sql: `EXPLAIN QUERY PLAN ${sql}`, args });
    for (const row of rows) {
      const step = detailOf(row);
      const scan = new RegExp(`^SCAN (?:${LARGE})\\b`).test(step);
      // An index of the clinic alone leads through all its patients.
      const whole = /\(clinic_id=\?\)$/.test(step) && new RegExp(`\\b(?:${LARGE})\\b`).test(step);
      if (scan || whole) found.push(`${step} ← ${sql.replace(/\s+/g, ' ').slice(0, 300)}`);
    }
  }
  client.close();
  return found;
}

it.each(['before', 'after'])(
  'one patient’s pages and posts read no clinic, %s the database has its statistics',
  async (when) => {
    if (when === 'after') await optimizeDatabase();
    statements.clear();
    await onePatient();
    expect(statements.size).toBeGreaterThan(40);
    expect(await scansIn()).toEqual([]);
  },
  120_000,
);

it.each(['before', 'after'])(
  'rows of fifty patients read no clinic, %s the database has its statistics',
  async (when) => {
    if (when === 'after') await optimizeDatabase();
    const ids = (await patientsAfter(here.clinicId, '', 50)).map(({ id }) => id);
    expect(ids).toHaveLength(50);
    statements.clear();
    expect(await rowsFor(here.clinicId, ids)).toHaveLength(50);
    expect(statements.size).toBeGreaterThan(12);
    expect(await scansIn()).toEqual([]);
  },
  120_000,
);

it('keeps statistics of the tables that are joined, whatever else was looked at', async () => {
  const client = createClient({ url: databaseUrl() });
  await client.execute('ANALYZE');
  await optimizeDatabase();
  const { rows } = await client.execute('SELECT DISTINCT tbl FROM sqlite_stat1 ORDER BY tbl');
  client.close();
  expect(rows.map(({ tbl }) => tbl)).toEqual(['programme_line', 'programme_version']);
});

it('the morning list finds who has no row, and counts, without reading rows', async () => {
  await refreshTriage(here.clinicId);
  statements.clear();
  await morningList(stage.practitioner, {
    search: '',
    practitionerId: null,
    group: null,
    page: 1,
  });
  const client = createClient({ url: databaseUrl() });
  const plans: string[] = [];
  for (const [sql, args] of [...statements].filter(([text]) => /triage_row/.test(text))) {
    const { rows } = await client.execute({ sql: `EXPLAIN QUERY PLAN ${sql}`, args });
    plans.push(...rows.map((row) => detailOf(row)));
  }
  client.close();
  expect(plans.filter((step) => /^SCAN/.test(step))).toEqual([]);
  expect(plans).toEqual(
    expect.arrayContaining([expect.stringContaining('COVERING INDEX triage_row_counts')]),
  );
}, 120_000);

it('posts of several phones at once read of each no more than they are about', async () => {
  const patientId = await makePatient(stage.practitioner, 'Quay Second');
  await prescribe(stage.practitioner, patientId, [{ exerciseId: 'tuck-lying', dose: '10x10s' }]);
  const there = await device(stage.practitioner, patientId);
  const begun = (phone: PatientHere) =>
    takeIn(phone, { sentAt: Date.now(), events: [eventOf({ type: 'started' })] });
  for (const when of ['before', 'after']) {
    if (when === 'after') await optimizeDatabase();
    statements.clear();
    await Promise.all([begun(here), begun(there)]);
    const client = createClient({ url: databaseUrl() });
    const reads = [...statements].filter(([sql]) =>
      /^select[^]* from "session_event"/i.test(sql.trim()),
    );
    // Two phones were read for in the same statements.
    expect(reads.filter(([sql]) => / or /.test(sql)).length).toBeGreaterThanOrEqual(3);
    for (const [sql, args] of reads) {
      const { rows } = await client.execute({ sql: `EXPLAIN QUERY PLAN ${sql}`, args });
      const searches = rows.map(detailOf).filter((step) => /session_event/.test(step));
      for (const step of searches)
        expect(step).toMatch(/\(clinic_id=\? AND patient_id=\? AND \w+=\?\)$/);
    }
    client.close();
  }
}, 120_000);
