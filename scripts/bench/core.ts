import { createClient } from '@libsql/client';
import { writeFileSync } from 'node:fs';
import rrule from 'rrule';
import { EXERCISES } from '@/catalogue';
import { parseDose } from '@/core/dose';
import { isDueOn } from '@/core/schedule';
import { addDays, dateRange, localDate } from '@/core/units';
import { resolve, sessionTimeline, totalSeconds } from '@/core/timeline';
import { closeDatabase, databaseUrl } from '@/db';
import { morningList } from '@/server/morning-list';
import { memberFor } from '../demo/simulate';

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

/** The statements one page of the morning list needs, written by hand over the same rows. */
async function bareSql(clinicId: string): Promise<number> {
  const client = createClient({ url: databaseUrl() });
  const page = await client.execute({
    sql: 'SELECT * FROM patient WHERE clinic_id = ? ORDER BY name, id LIMIT 50',
    args: [clinicId],
  });
  const ids = page.rows.map((row) => row.id as string);
  const marks = ids.map(() => '?').join(',');
  const times: number[] = [];
  for (let round = 0; round < 25; round += 1) {
    const began = performance.now();
    await client.execute({
      sql: 'SELECT count(*) FROM patient WHERE clinic_id = ?',
      args: [clinicId],
    });
    await client.execute({
      sql: 'SELECT * FROM patient WHERE clinic_id = ? ORDER BY name, id LIMIT 50',
      args: [clinicId],
    });
    for (const sql of [
      `SELECT * FROM programme_version v JOIN programme_line l ON l.clinic_id = v.clinic_id AND l.programme_id = v.programme_id AND l.number = v.number WHERE v.clinic_id = ? AND v.patient_id IN (${marks})`,
      `SELECT * FROM pause WHERE clinic_id = ? AND patient_id IN (${marks})`,
      `SELECT * FROM day_done WHERE clinic_id = ? AND patient_id IN (${marks}) AND local_date >= date('now', '-13 days')`,
      `SELECT * FROM alert WHERE clinic_id = ? AND patient_id IN (${marks}) AND acknowledged_at IS NULL`,
      `SELECT patient_id, max(local_date) FROM day_done WHERE clinic_id = ? AND patient_id IN (${marks}) GROUP BY patient_id`,
      `SELECT patient_id, max(local_date) FROM day_done WHERE clinic_id = ? AND patient_id IN (${marks}) AND pain IS NOT NULL GROUP BY patient_id`,
    ]) {
      await client.execute({ sql, args: [clinicId, ...ids] });
    }
    times.push(performance.now() - began);
  }
  client.close();
  return median(times);
}

async function measure(file: string): Promise<void> {
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
  const times: number[] = [];
  for (let round = 0; round < 25; round += 1) {
    const began = performance.now();
    await morningList(lead, { search: '', practitionerId: null, group: null, page: 1 });
    times.push(performance.now() - began);
  }
  const sql = await bareSql(lead.clinicId);
  closeDatabase();
  writeFileSync(
    file,
    JSON.stringify({ parse, timeline, segments, calendar, recurrence, list: median(times), sql }),
  );
}

void measure(process.argv[2] ?? '').catch((error: unknown) => {
  console.error(error);
  process.exitCode = 1;
});
