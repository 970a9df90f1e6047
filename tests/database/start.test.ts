import { randomUUID } from 'node:crypto';
import {
  existsSync,
  mkdirSync,
  readFileSync,
  readdirSync,
  rmSync,
  statSync,
  truncateSync,
  writeFileSync,
} from 'node:fs';
import { join } from 'node:path';
import { createClient } from '@libsql/client';
import { closeDatabase, databaseUrl, prepareDatabase, purgeDatabase } from '@/db';
import { closeServer } from '@/server/prepare';
import { olderMigrations } from '../support/migrations';
import { temporaryFolder } from '../support/server';

let folder: string;
const file = () => join(folder, 'data', 'dry-lantern.db');
const old = { isNew: false };
const refused = (say: string) => ({
  name: 'StartRefused',
  say: expect.stringContaining(say) as string,
});

beforeEach(() => {
  folder = temporaryFolder('start');
  closeDatabase();
  process.env.DATA_DIR = join(folder, 'data');
});
afterEach(() => {
  closeDatabase();
  rmSync(folder, { recursive: true, force: true });
});

/** A clinic that was begun, its server ended cleanly. */
async function aClinic(migrations?: string): Promise<void> {
  await prepareDatabase({ isNew: true, ...(migrations ? { migrations } : {}) });
  await addClinic();
  await closeServer();
}
/** As an edition of then wrote it: this one's columns may not be there yet. */
async function addClinic(): Promise<void> {
  const client = createClient({ url: `file:${file()}`, timeout: 5_000 });
  await client.execute({
    sql: "INSERT INTO clinic (id, name, phone, emergency_text, zone, created_at) VALUES (?, 'Harbour', '1', 'x', 'Europe/Oslo', 1)",
    args: [randomUUID()],
  });
  client.close();
}
async function clinics(): Promise<number> {
  const client = createClient({ url: `file:${file()}` });
  const { rows } = await client.execute('SELECT count(*) AS n FROM clinic');
  client.close();
  return Number(rows[0]?.n);
}

describe('a server that starts', () => {
  it('takes no missing or emptied database for a new clinic', async () => {
    await expect(prepareDatabase(old)).rejects.toMatchObject(refused('no database'));
    expect(existsSync(file())).toBe(false);
    mkdirSync(join(folder, 'data'), { recursive: true });
    writeFileSync(file(), '');
    await expect(prepareDatabase(old)).rejects.toMatchObject(refused('was lost'));
    // Somebody emptied the tables, or began and never set up.
    await prepareDatabase({ isNew: true });
    closeDatabase();
    await expect(prepareDatabase(old)).rejects.toMatchObject(refused('holds no clinic'));
    await addClinic();
    closeDatabase();
    await expect(prepareDatabase(old)).resolves.toBeUndefined();
  });

  it('refuses a damaged file, one that is none, and a journal alone', async () => {
    await aClinic();
    const size = statSync(file()).size;
    const whole = readFileSync(file());
    const broken = Buffer.from(whole);
    broken.fill(0x5a, 4096, Math.min(size, 4096 * 12));
    writeFileSync(file(), broken);
    await expect(prepareDatabase(old)).rejects.toMatchObject(refused('damaged'));
    closeDatabase();
    writeFileSync(file(), 'This is a letter, and no database at all. '.repeat(400));
    await expect(prepareDatabase(old)).rejects.toMatchObject(refused('damaged'));
    closeDatabase();
    truncateSync(file(), 0);
    writeFileSync(`${file()}-wal`, 'pages');
    await expect(prepareDatabase({ isNew: true })).rejects.toMatchObject(refused('journal'));
  });

  it('refuses what a newer edition wrote, and changes nothing of it', async () => {
    await aClinic();
    const client = createClient({ url: `file:${file()}` });
    await client.execute(
      "INSERT INTO __drizzle_migrations (hash, created_at) VALUES ('from next year', 9999999999999)",
    );
    client.close();
    await expect(prepareDatabase(old)).rejects.toMatchObject(refused('newer edition'));
    expect(await clinics()).toBe(1);
  });

  it('copies what it migrates, keeps three copies, and puts it back where a step fails', async () => {
    const older = olderMigrations(folder, 11);
    await aClinic(older);
    const earlier = [1, 2, 3].map((at) => `dry-lantern.db.before-migration-100000000000${at}`);
    for (const name of earlier) writeFileSync(join(folder, 'data', name), 'an earlier copy');
    await prepareDatabase(old);
    await closeServer();
    const copies = () =>
      readdirSync(join(folder, 'data'))
        .filter((name) => name.includes('.before-'))
        .sort()
        .reverse();
    expect(copies()).toHaveLength(3);
    expect(copies().slice(1)).toEqual([earlier[2], earlier[1]]);
    expect(statSync(join(folder, 'data', copies()[0] ?? '')).mode & 0o777).toBe(0o600);

    rmSync(join(folder, 'data'), { recursive: true });
    await aClinic(older);
    const journal = join(older, 'meta/_journal.json');
    const { entries, ...rest } = JSON.parse(readFileSync(journal, 'utf8')) as { entries: object[] };
    const wrong = { idx: 11, version: '6', when: 9e12, tag: '9999_wrong', breakpoints: true };
    writeFileSync(journal, JSON.stringify({ ...rest, entries: [...entries, wrong] }));
    writeFileSync(
      join(older, '9999_wrong.sql'),
      'DELETE FROM clinic;\n--> statement-breakpoint\nALTER TABLE nowhere ADD x text;',
    );
    await expect(prepareDatabase({ ...old, migrations: older })).rejects.toMatchObject(
      refused('as it was before'),
    );
    expect(await clinics()).toBe(1);
  });

  it('copies nothing where nothing is to be migrated', async () => {
    await aClinic();
    await prepareDatabase(old);
    await closeServer();
    expect(
      readdirSync(join(folder, 'data')).filter((name) => name.includes('before-migration')),
    ).toEqual([]);
  });

  it('closes folder and files to everybody else, and leaves no journal when it ends', async () => {
    mkdirSync(join(folder, 'data'), { mode: 0o755 });
    await aClinic();
    const modes = () =>
      readdirSync(join(folder, 'data')).map((name) => [
        name,
        (statSync(join(folder, 'data', name)).mode & 0o777).toString(8),
      ]);
    // What is left of the journal is empty: the file alone is whole.
    const journal = `${file()}-wal`;
    expect(existsSync(journal) ? statSync(journal).size : 0).toBe(0);
    await prepareDatabase(old);
    expect((statSync(join(folder, 'data')).mode & 0o777).toString(8)).toBe('700');
    expect(new Set(modes().map(([, mode]) => mode))).toEqual(new Set(['600']));
  });
});

describe('a folder whose name holds what ends a path in an address', () => {
  it.each(['tide #2', 'half 50%', 'where?', '%41 & Söhne', 'file:a'])(
    'is the folder of the record: %s',
    async (name) => {
      const data = join(folder, name);
      process.env.DATA_DIR = data;
      await prepareDatabase({ isNew: true });
      await closeServer();
      expect(readdirSync(folder)).toEqual([name]);
      expect(readdirSync(data)).toContain('dry-lantern.db');
      // Found again, and not taken for a missing one.
      await prepareDatabase({ isNew: true });
      expect(await purgeDatabase(databaseUrl())).toBe(true);
      expect(readdirSync(folder)).toEqual([name]);
    },
  );
});
