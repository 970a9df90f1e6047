import { createClient } from '@libsql/client';
import { randomLcg, randomNormal } from 'd3';
import { writeFileSync } from 'node:fs';
import rrule from 'rrule';
import { EXERCISES } from '@/catalogue';
import { parseDose } from '@/core/dose';
import { isDueOn } from '@/core/schedule';
import { addDays, dateRange, localDate } from '@/core/units';
import { resolve, sessionTimeline, totalSeconds } from '@/core/timeline';
import { PAIN_MATTERS, judgeAll, judgeCourse } from '@/core/follow';
import {
  closeDatabase,
  databaseUrl,
  migrateDatabase,
  patientById,
  patientsWithoutTriage,
  putTriageRows,
  write,
} from '@/db';
import type { ClinicId, PatientId } from '@/core/units';
import { now } from '@/server/clock';
import { BATCHES } from '@/server/periods';
import { followOf } from '@/server/follow/strips';
import { rowsFor } from '@/server/follow/triage';
import { morningList } from '@/server/morning-list';
import { bareClients } from './bare';
import { proposalCosts } from './proposals';
import { memberFor } from '../demo/simulate';
import { diary } from '../verdicts/generator';

// A CommonJS package: its classes stand on the default export.
const { RRule } = rrule;

const median = (values: number[]) =>
  [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)] ?? 0;

function microseconds(times: number, job: () => void): number {
  for (let warm = 0; warm < times / 5; warm += 1) job();
  const began = performance.now();
  for (let round = 0; round < times; round += 1) job();
  return ((performance.now() - began) * 1000) / times;
}

/** The statements one look at the morning list needs, written by hand over the same rows. */
async function bareSql(clinicId: string): Promise<number> {
  const client = createClient({ url: databaseUrl() });
  const times: number[] = [];
  for (let round = 0; round < 25; round += 1) {
    const began = performance.now();
    await client.execute({
      sql: 'SELECT practitioner_id, level, aside, count(*) FROM triage_row WHERE clinic_id = ? GROUP BY practitioner_id, level, aside',
      args: [clinicId],
    });
    for (const level of [0, 1, 2])
      await client.execute({
        sql: 'SELECT * FROM triage_row WHERE clinic_id = ? AND aside = 0 AND level = ? ORDER BY level, urgency, name LIMIT 50',
        args: [clinicId, level],
      });
    times.push(performance.now() - began);
  }
  client.close();
  return median(times);
}

async function measure(file: string, year: string): Promise<void> {
  // Records of an earlier run may lack what the schema has gained since.
  await migrateDatabase();
  const lines = EXERCISES.map((exercise) => exercise.usualDose);
  let turn = 0;
  const next = () => lines[(turn += 1) % lines.length] ?? '';
  const parse = microseconds(50_000, () => parseDose(next()));
  const timed = EXERCISES.flatMap(({ usualDose, mode, position }) => {
    const parsed = parseDose(usualDose);
    return parsed.ok ? [{ dose: parsed.value, mode, position }] : [];
  });
  const timeline = microseconds(20_000, () => {
    const line = timed[(turn += 1) % timed.length];
    if (line) totalSeconds(resolve(sessionTimeline([line]), 'most'));
  });
  const segments = Math.round(
    timed.reduce((sum, line) => sum + sessionTimeline([line]).length, 0) / timed.length,
  );
  const rule = parseDose('x10 every 3 days until 90 days');
  if (!rule.ok) throw new Error(rule.say);
  const anchor = localDate('2026-11-02');
  const dates = dateRange(anchor, addDays(anchor, 90));
  const calendar = microseconds(2_000, () => {
    dates.filter((date) => isDueOn({ lineage: '', anchor, dose: rule.value }, date));
  });
  const recurrence = microseconds(2_000, () => {
    new RRule({
      freq: RRule.DAILY,
      interval: 3,
      dtstart: new Date('2026-11-02T00:00:00Z'),
      until: new Date('2027-01-30T00:00:00Z'),
    }).all();
  });
  const lead = await memberFor('lead@bench.example');
  await forgetRows();
  const began = performance.now();
  await allRows(lead.clinicId);
  const firstLook = performance.now() - began;
  const byEvent = await rowByEvent(lead.clinicId);
  const times: number[] = [];
  for (let round = 0; round < 25; round += 1) {
    const began = performance.now();
    await morningList(lead, { search: '', practitionerId: null, group: null, page: 1 });
    times.push(performance.now() - began);
  }
  const course = courseCost();
  const sql = await bareSql(lead.clinicId);
  const follow = { ...(await proposalCosts(lead.clinicId)), ...(await yearCosts(lead, year)) };
  closeDatabase();
  const all = { parse, timeline, segments, calendar, recurrence, course, list: median(times), sql };
  writeFileSync(file, JSON.stringify({ ...all, firstLook, byEvent, ...follow }));
}

/** Reckons every row of a clinic as its thread does, on this one core and without the thread. */
async function allRows(clinicId: ClinicId): Promise<void> {
  for (;;) {
    const ids = await patientsWithoutTriage(clinicId, now(), BATCHES.triage);
    if (ids.length === 0) return;
    const rows = await rowsFor(clinicId, ids);
    await write(() => [putTriageRows(rows)]);
  }
}

/**
 * How long a row of the list takes after one event of its patient, who is kept in memory meanwhile, among
 * fifty of whom a phone has just told something. Milliseconds a row, reading included.
 */
async function rowByEvent(clinicId: ClinicId): Promise<number> {
  const client = createClient({ url: databaseUrl() });
  const ids = (
    await client.execute({
      sql: 'SELECT id FROM patient WHERE clinic_id = ? ORDER BY id LIMIT 50',
      args: [clinicId],
    })
  ).rows.map((row) => row.id as PatientId);
  /** The triggers tell of it as of any other write. */
  const told = () =>
    client.execute({
      sql: `UPDATE day_done SET pain = pain WHERE clinic_id = ? AND (patient_id, local_date) IN (
        SELECT patient_id, max(local_date) FROM day_done WHERE clinic_id = ?
        AND patient_id IN (SELECT value FROM json_each(?)) GROUP BY patient_id)`,
      args: [clinicId, clinicId, JSON.stringify(ids)],
    });
  const times: number[] = [];
  for (let round = 0; round < 25; round += 1) {
    await told();
    const began = performance.now();
    await rowsFor(clinicId, ids);
    times.push((performance.now() - began) / ids.length);
  }
  client.close();
  // Those of the first rounds were not kept yet.
  return median(times.slice(5));
}

/** Takes away every row that was reckoned before, so that all are reckoned anew. */
async function forgetRows(): Promise<void> {
  const client = createClient({ url: databaseUrl() });
  await client.execute('DELETE FROM triage_row');
  client.close();
}

/** How long a course of twelve weeks takes to be judged, as Follow says it, in milliseconds. */
function courseCost(): number {
  const courses = Array.from({ length: 200 }, (_, nth) => {
    const fraction = randomLcg((0.3 + nth * 0.0079) % 1);
    const chance = { fraction, normal: randomNormal.source(fraction)(0, 1) };
    return diary('falls by 2', 84, chance).map(({ day, value }) => ({
      date: addDays(localDate('2026-01-05'), day),
      value,
    }));
  });
  const times = courses.map((readings) => {
    const began = performance.now();
    judgeCourse(readings, PAIN_MATTERS);
    return performance.now() - began;
  });
  // The first of them warm the engine up.
  return median(times.slice(50));
}

const YEAR_ROUNDS = 25;

/** One patient's year of strips, and its verdicts, beside the plain loop they need. */
async function yearCosts(lead: Awaited<ReturnType<typeof memberFor>>, yearId: string) {
  const { clinicId } = lead;
  const { usual, kept } = bareClients();
  let began = performance.now();
  const patient = await patientById(clinicId, yearId);
  if (!patient) throw new Error('no year');
  const strips: number[] = [];
  const judged: number[] = [];
  const plain = { usual: [] as number[], kept: [] as number[] };
  for (let round = 0; round < YEAR_ROUNDS; round += 1) {
    began = performance.now();
    const follow = await followOf(lead, patient);
    strips.push(performance.now() - began);
    began = performance.now();
    judgeAll(
      follow.followed,
      follow.seams.map(({ date }) => date),
    );
    judged.push(performance.now() - began);
    for (const [name, client] of Object.entries({ usual, kept })) {
      began = performance.now();
      const { columns, rows } = await client.execute({
        sql: 'SELECT done, report FROM day_done WHERE clinic_id = ? AND patient_id = ?',
        args: [clinicId, yearId],
      });
      for (const row of rows)
        for (let at = 0; at < columns.length; at += 1) JSON.parse(row[at] as string);
      plain[name as keyof typeof plain].push(performance.now() - began);
    }
  }
  usual.close();
  kept.close();
  return {
    strips: median(strips),
    stripsPlain: median(plain.usual),
    stripsKept: median(plain.kept),
    judged: median(judged),
  };
}

void measure(process.argv[2] ?? '', process.argv[3] ?? '').catch((error: unknown) => {
  console.error(error);
  process.exitCode = 1;
});
