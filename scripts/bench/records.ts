import { createClient } from '@libsql/client';
import { writeFileSync } from 'node:fs';
import { type Instant, type Zone, dateIn } from '@/core/schedule';
import { addDays, dateRange } from '@/core/units';
import {
  closeDatabase,
  databaseUrl,
  insertClinic,
  insertMember,
  migrateDatabase,
  write,
} from '@/db';
import { setClock } from '@/server/clock';
import { hashPassword } from '@/server/passwords';
import { live, memberFor } from '../demo/simulate';
import { CLINIC, DAYS, DEMO_PASSWORD, STORIES } from '../demo/world';

const PATIENTS = 1000;
const EMAIL = 'lead@bench.example';

/** Six lived stories, copied row by row until there are 1,000 patients. */
async function records(facts: string): Promise<void> {
  await migrateDatabase();
  const today = dateIn(CLINIC.zone as Zone, Date.now() as Instant);
  const dates = dateRange(addDays(today, 1 - DAYS), today);
  const clinicId = crypto.randomUUID();
  const passwordHash = await hashPassword(DEMO_PASSWORD);
  await write(() => [
    insertClinic({ ...CLINIC, id: clinicId, createdAt: 1 }),
    insertMember({
      clinicId,
      id: crypto.randomUUID(),
      name: 'Bench',
      email: EMAIL,
      role: 'lead',
      passwordHash,
      createdAt: 1,
    }),
  ]);
  let patientToken = '';
  for (const [index, story] of STORIES.entries()) {
    const { token } = await live(story, 1000 + index, dates, () => memberFor(EMAIL));
    patientToken ||= token;
  }
  setClock(null);
  closeDatabase();
  const client = createClient({ url: databaseUrl() });
  const originals = (await client.execute('SELECT id FROM patient')).rows.map(
    (row) => row.id as string,
  );
  for (let copy = originals.length; copy < PATIENTS; copy += 1) {
    const from = originals[copy % originals.length] ?? '';
    const to = crypto.randomUUID();
    const args = { from, to, n: String(copy).padStart(4, '0') };
    await client.batch(
      [
        `INSERT INTO patient SELECT clinic_id, $to, name || ' ' || $n, zone, wake_minute, sleep_minute, minutes_a_day, practitioner_id, created_at FROM patient WHERE id = $from`,
        `INSERT INTO episode SELECT clinic_id, id || $n, $to, complaint, opened_on, closed_on FROM episode WHERE patient_id = $from`,
        `INSERT INTO programme SELECT clinic_id, id || $n, $to, episode_id || $n FROM programme WHERE patient_id = $from`,
        `INSERT INTO programme_version SELECT clinic_id, programme_id || $n, number, $to, effective_from, review_on, rounds, author_id, reason, grammar, created_at FROM programme_version WHERE patient_id = $from`,
        `INSERT INTO programme_line SELECT l.clinic_id, l.programme_id || $n, l.number, place, lineage, anchor, exercise_id, exercise, dose FROM programme_line l JOIN programme_version v ON v.programme_id = l.programme_id AND v.number = l.number WHERE v.patient_id = $from`,
        `INSERT INTO session_event SELECT clinic_id, $to, id, session_id, session_key, programme_id, version, local_date, body, payload_hash, device_at, skew_ms, offset_ms, received_at FROM session_event WHERE patient_id = $from`,
        `INSERT INTO day_done SELECT clinic_id, $to, local_date, done, sessions_done, pain, events FROM day_done WHERE patient_id = $from`,
      ].map((statement) => ({ sql: statement, args })),
      'write',
    );
  }
  client.close();
  writeFileSync(facts, JSON.stringify({ email: EMAIL, password: DEMO_PASSWORD, patientToken }));
}

void records(process.argv[2] ?? '').catch((error: unknown) => {
  console.error(error);
  process.exitCode = 1;
});
