import { median } from 'd3';
import type { Client, InStatement, ResultSet, Row } from '@libsql/client';
import { outlook } from '@/core/outlook';
import { type ClinicId, type LocalDate, addDays } from '@/core/units';
import { type Patient, patientById } from '@/db';
import { processWide } from '@/db/process-wide';
import {
  OUTLOOK_DAYS,
  READ_KINDS,
  clinicContext,
  followRecords,
  limitsOf,
} from '@/server/follow/outlook';
import { todayOf } from '@/server/programme-facts';
import { bareClients } from './bare';

const PATIENTS = 1000;
/** So many are read at once, as the background does. */
const AT_ONCE = 200;
const ROUNDS = 7;

/** All proposals of 1,000 patients, in milliseconds, beside four ways of reading their rows; medians. */
export async function proposalCosts(clinicId: ClinicId) {
  const { usual: client, kept } = bareClients();
  const { rows } = await client.execute({
    // By the number of the copy, so that every story is among them.
    sql: 'SELECT id FROM patient WHERE clinic_id = ? ORDER BY id LIMIT ?',
    args: [clinicId, PATIENTS],
  });
  const found = await Promise.all(rows.map(({ id }) => patientById(clinicId, id as string)));
  const patients = found.flatMap((patient) => patient ?? []);
  const [first] = patients;
  if (!first) throw new Error('nobody to propose for');
  const today = todayOf(first);
  const { catalogue } = await clinicContext(clinicId);
  const from = addDays(today, -OUTLOOK_DAYS);
  const batches = Array.from({ length: Math.ceil(patients.length / AT_ONCE) }, (_, at) =>
    patients.slice(at * AT_ONCE, (at + 1) * AT_ONCE),
  );
  let proposals = 0;
  const ways = {
    async evaluate() {
      proposals = 0;
      for (const batch of batches)
        for (const record of await followRecords(clinicId, batch, from, today))
          proposals += outlook(record, catalogue, limitsOf(null)).filter(
            ({ kind }) => kind === 'proposal',
          ).length;
    },
    async evaluatePlain() {
      for (const batch of batches)
        for (const statement of plainly(clinicId, batch, from))
          parseRows((await client.execute(statement)).rows);
    },
    async evaluateKept() {
      for (const batch of batches)
        for (const statement of plainly(clinicId, batch, from))
          parseRows((await kept.execute(statement)).rows);
    },
    async evaluateOwn() {
      for (const statement of own) parseRows((await client.execute(statement)).rows);
    },
    async evaluateDays() {
      for (const batch of batches)
        parseRows((await client.execute(theirDays(clinicId, batch, from))).rows);
    },
  };
  const own = await statementsOf(async () => {
    for (const batch of batches) await followRecords(clinicId, batch, from, today);
  });
  const names = Object.keys(ways) as (keyof typeof ways)[];
  const times = new Map<keyof typeof ways, number[]>(names.map((name) => [name, []]));
  for (let round = 0; round < ROUNDS; round += 1)
    for (const name of names) {
      const began = performance.now();
      await ways[name]();
      times.get(name)?.push(performance.now() - began);
    }
  client.close();
  kept.close();
  const cost = (name: keyof typeof ways) => median(times.get(name) ?? []) ?? Number.NaN;
  return {
    proposals,
    evaluate: cost('evaluate'),
    evaluatePlain: cost('evaluatePlain'),
    evaluateKept: cost('evaluateKept'),
    evaluateOwn: cost('evaluateOwn'),
    evaluateDays: cost('evaluateDays'),
  };
}

/** Tables whose rows proposals read whole, and which of them. */
const TABLES = {
  programme_version: '',
  pause: '',
  screening: '',
  file_entry: " AND kind = 'home'",
  teach_back: '',
  proposal_decision: '',
  measurement: ` AND kind IN (${READ_KINDS.map((kind) => `'${kind}'`).join()})`,
  episode: '',
} as const;

const idsOf = (patients: readonly Patient[]) => JSON.stringify(patients.map(({ id }) => id));
const OF_THESE = 'clinic_id = ? AND patient_id IN (SELECT value FROM json_each(?))';

/** Everything that stands about these patients in the tables that proposals read, row by row as it stands. */
function plainly(clinicId: ClinicId, patients: readonly Patient[], from: LocalDate): InStatement[] {
  const args = [clinicId, idsOf(patients)];
  return [
    ...Object.entries(TABLES).map(([table, which]) => ({
      sql: `SELECT * FROM ${table} WHERE ${OF_THESE}${which}`,
      args,
    })),
    {
      sql: `SELECT * FROM programme_line WHERE (clinic_id, programme_id) IN (SELECT clinic_id, id FROM programme WHERE ${OF_THESE})`,
      args,
    },
    theirDays(clinicId, patients, from),
  ];
}

function theirDays(clinicId: ClinicId, patients: readonly Patient[], from: LocalDate): InStatement {
  return {
    sql: `SELECT patient_id, local_date, done, report, pain FROM day_done WHERE ${OF_THESE} AND local_date >= ?`,
    args: [clinicId, idsOf(patients), from],
  };
}

/** Every statement that a job asks of the database, to be asked again by itself. */
async function statementsOf(job: () => Promise<void>): Promise<InStatement[]> {
  const client = processWide<{ client: Client }>('database').value?.client;
  if (!client) throw new Error('no database is open');
  const all = Object.getPrototypeOf(client) as {
    execute: (this: Client, statement: InStatement) => Promise<ResultSet>;
  };
  const usual = all.execute;
  const asked: InStatement[] = [];
  all.execute = function (statement) {
    asked.push(statement);
    return usual.call(this, statement);
  };
  try {
    await job();
  } finally {
    all.execute = usual;
  }
  return asked;
}

/** Reads what is written as JSON in rows, and nothing more. */
function parseRows(rows: readonly Row[]): void {
  for (const row of rows)
    for (let at = 0; at < row.length; at += 1) {
      const value = row[at];
      if (typeof value === 'string' && (value.startsWith('{') || value.startsWith('[')))
        JSON.parse(value);
    }
}
