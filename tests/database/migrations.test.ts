import { olderMigrations } from '../support/migrations';
import { rmSync } from 'node:fs';
import { join } from 'node:path';
import { type Client, createClient } from '@libsql/client';
import { closeDatabase, databaseUrl, migrateDatabase } from '@/db';
import { device, makeClinic, makePatient, member, prescribe, useDatabase } from '../support/clinic';
import { temporaryFolder } from '../support/server';

let folder: string;
let client: Client;

beforeEach(() => {
  folder = temporaryFolder('migrations');
  closeDatabase();
  process.env.DATA_DIR = join(folder, 'data');
});

afterEach(() => {
  client?.close();
  closeDatabase();
  rmSync(folder, { recursive: true, force: true });
});

async function names(kind: 'table' | 'trigger'): Promise<string[]> {
  client ??= createClient({ url: databaseUrl() });
  const { rows } = await client.execute({
    sql: 'SELECT name FROM sqlite_master WHERE type = ? ORDER BY name',
    args: [kind],
  });
  return rows.map((row) => row.name as string);
}

describe('migrations', () => {
  it('make a whole schema from nothing, and change nothing when run again', async () => {
    await migrateDatabase();
    client = createClient({ url: databaseUrl() });
    const before = [await names('table'), await names('trigger')];
    expect(before[0]).toEqual(expect.arrayContaining(['clinic', 'session_event', 'audit_event']));
    await migrateDatabase();
    expect([await names('table'), await names('trigger')]).toEqual(before);
  });

  it('bring an older database up to date and keep what it holds', async () => {
    await migrateDatabase(olderMigrations(folder, 1));
    client = createClient({ url: databaseUrl() });
    expect(await names('trigger')).toEqual([]);
    await client.execute(
      "INSERT INTO clinic (id, name, phone, emergency_text, zone, created_at) VALUES ('old', 'Old clinic', '1', 'x', 'UTC', 1)",
    );
    await migrateDatabase();
    expect(await names('trigger')).toContain('audit_event_no_update');
    const { rows } = await client.execute('SELECT name FROM clinic');
    expect(rows.map((row) => row.name)).toEqual(['Old clinic']);
  });
});

describe('what is never overwritten', () => {
  it.each(['audit_event', 'programme_version', 'programme_line', 'session_event'])(
    '%s refuses change',
    async (table) => {
      await useDatabase(join(folder, 'data'));
      const clinic = await makeClinic('append');
      const lead = await member(clinic.emails.lead);
      const patientId = await makePatient(lead);
      await prescribe(lead, patientId, [{ exerciseId: 'tuck-lying', dose: '10x10s' }]);
      await device(lead, patientId);
      client = createClient({ url: databaseUrl() });
      if (table === 'session_event') {
        await client.execute({
          sql: `INSERT INTO session_event (clinic_id, patient_id, id, session_id, session_key, programme_id, version, local_date, body, payload_hash, device_at, skew_ms, offset_ms, received_at, episode_id) SELECT ?, ?, 'e', 's', 'k', 'p', 1, '2026-01-01', '{}', 'h', 1, 0, 0, 1, id
            FROM episode WHERE patient_id = ?`,
          args: [clinic.id, patientId, patientId],
        });
      }
      const count = async () =>
        Number((await client.execute(`SELECT count(*) AS n FROM ${table}`)).rows[0]?.n);
      const before = await count();
      expect(before).toBeGreaterThan(0);
      await expect(client.execute(`UPDATE ${table} SET clinic_id = 'other'`)).rejects.toThrow(
        'append-only',
      );
      await expect(client.execute(`DELETE FROM ${table}`)).rejects.toThrow('append-only');
      expect(await count()).toBe(before);
    },
  );

  it('refuses a record of one clinic that points into another', async () => {
    await useDatabase(join(folder, 'data'));
    const [one, two] = [await makeClinic('one'), await makeClinic('two')];
    const patientId = await makePatient(await member(one.emails.lead));
    client = createClient({ url: databaseUrl() });
    const insert = client.execute({
      sql: 'INSERT INTO episode (clinic_id, id, patient_id, complaint, opened_on) VALUES (?, ?, ?, ?, ?)',
      args: [two.id, 'stray', patientId, 'x', '2026-01-01'],
    });
    await expect(insert).rejects.toThrow(/FOREIGN KEY/);
  });
});
