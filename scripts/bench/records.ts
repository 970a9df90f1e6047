import { STORIES } from '../demo/stories';
import { type Client, createClient } from '@libsql/client';
import { writeFileSync } from 'node:fs';
import { type Instant, dateIn } from '@/core/schedule';
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
import { CLINIC, DAYS, DEMO_PASSWORD } from '../demo/world';

const PATIENTS = 5000;
/** Days of records that lists and proposals read. */
const RECENT_DAYS = 43;
const EMAIL = 'lead@bench.example';

type Columns = ReadonlyMap<string, readonly string[]>;
/** What a copied patient needs, with the column that names them. */
const TABLES = {
  patient: 'id',
  episode: 'patient_id',
  programme: 'patient_id',
  programme_version: 'patient_id',
  programme_line: 'programme_id',
  pause: 'patient_id',
  patient_link: 'patient_id',
  day_done: 'patient_id',
} as const;

async function columnsOf(client: Client): Promise<Columns> {
  const found = new Map<string, readonly string[]>();
  for (const table of Object.keys(TABLES)) {
    const rows = (await client.execute(`PRAGMA table_info(${table})`)).rows;
    found.set(
      table,
      rows.map((row) => row.name as string),
    );
  }
  return found;
}

/**
 * Statements that copy a patient with everything lists and strips read.
 *
 * @param shift days by which each table's dates are moved back
 */
function copied(
  columns: Columns,
  clinicId: string,
  from: string,
  n: number,
  { shift = 0, recent = RECENT_DAYS }: { shift?: number; recent?: number },
) {
  // An id of its own that routes accept: a UUID whose first eight digits count the copies.
  const anew = (name: string) => `'${copyOf('', n)}' || substr(${name}, 9)`;
  const moved = (name: string) => (shift > 0 ? `date(${name}, '-${shift} days')` : name);
  const value = (table: string, name: string): string => {
    if (table === 'patient' && name === 'name') return `name || ' ${String(n).padStart(5, '0')}'`;
    if (['id', 'patient_id', 'programme_id', 'episode_id'].includes(name)) return anew(name);
    if (name === 'visit_id') return 'NULL';
    if (name === 'token_hash') return `${name} || '-${n}'`;
    if (['local_date', 'effective_from', 'anchor'].includes(name)) return moved(name);
    return name;
  };
  return Object.entries(TABLES).map(([table, key]) => {
    const names = columns.get(table) ?? [];
    const where =
      table === 'programme_line'
        ? `clinic_id = '${clinicId}' AND programme_id = (SELECT id FROM programme WHERE clinic_id = '${clinicId}' AND patient_id = '${from}')`
        : `clinic_id = '${clinicId}' AND ${key} = '${from}'`;
    const late = table === 'day_done' ? ` AND local_date >= date('now', '-${recent} days')` : '';
    return `INSERT INTO ${table} (${names.join(', ')}) SELECT ${names.map((name) => value(table, name)).join(', ')} FROM ${table} WHERE ${where}${late}`;
  });
}

/** The id of a copy. */
function copyOf(id: string, n: number): string {
  return n.toString(16).padStart(8, '0') + id.slice(8);
}

/** The copy with a year of records counts after all others. */
const YEAR = 0xffffffff;

/** One patient with a year of records, the ten weeks over and over. */
async function makeYear(
  client: Client,
  columns: Columns,
  clinicId: string,
  from: string,
): Promise<string> {
  await client.batch(copied(columns, clinicId, from, YEAR, { shift: 290, recent: 400 }), 'write');
  const id = copyOf(from, YEAR);
  const names = columns.get('day_done') ?? [];
  for (const back of [0, 70, 140, 210]) {
    const values = names.map((name) =>
      name === 'patient_id'
        ? `'${id}'`
        : name === 'local_date'
          ? `date(local_date, '-${back} days')`
          : name,
    );
    await client.execute(
      `INSERT OR IGNORE INTO day_done (${names.join(', ')}) SELECT ${values.join(', ')} FROM day_done WHERE clinic_id = '${clinicId}' AND patient_id = '${from}'`,
    );
  }
  return id;
}

/** Lived stories, copied row by row until there are 5,000 patients. */
async function records(facts: string): Promise<void> {
  await migrateDatabase();
  const today = dateIn(CLINIC.zone, Date.now() as Instant);
  const dates = dateRange(addDays(today, 1 - DAYS), today);
  const clinicId = crypto.randomUUID();
  const passwordHash = await hashPassword(DEMO_PASSWORD);
  await write(() => [
    insertClinic({ ...CLINIC, id: clinicId, createdAt: 1 as Instant }),
    insertMember({
      clinicId,
      id: crypto.randomUUID(),
      name: 'Bench',
      email: EMAIL,
      role: 'lead',
      passwordHash,
      createdAt: 1 as Instant,
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
  const columns = await columnsOf(client);
  for (let copy = originals.length; copy < PATIENTS; copy += 1)
    await client.batch(
      copied(columns, clinicId, originals[copy % originals.length] ?? '', copy, {}),
      'write',
    );
  const year = await makeYear(client, columns, clinicId, originals[0] ?? '');
  client.close();
  writeFileSync(
    facts,
    JSON.stringify({ email: EMAIL, password: DEMO_PASSWORD, patientToken, year }),
  );
}

void records(process.argv[2] ?? '').catch((error: unknown) => {
  console.error(error);
  process.exitCode = 1;
});
