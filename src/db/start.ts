import {
  chmodSync,
  copyFileSync,
  existsSync,
  mkdirSync,
  readFileSync,
  readdirSync,
  rmSync,
  statSync,
  statfsSync,
} from 'node:fs';
import { basename, dirname, join } from 'node:path';
import { sql } from 'drizzle-orm';
import {
  checkpoint,
  closeDatabase,
  copyDatabase,
  databaseKey,
  databaseUrl,
  migrateDatabase,
  read,
  rowsOf,
} from './door';
import { DatabaseFailure, StartRefused } from './errors';
import { fileOfAddress } from './file-address';
import { clinic } from './schema';

/** Less room than this, and the first busy day would fill the disk. */
const LEAST_BYTES = 100 * 1024 * 1024;
/** Copies of before a migration that are kept. */
const KEPT_COPIES = 3;

/**
 * Brings the database to where the application can work with it, or refuses to start: what is missing,
 * emptied or damaged is never taken for a new clinic.
 *
 * @param isNew whoever starts the server says that there is no clinic yet
 * @throws StartRefused with a sentence for whoever looks after the server; anything else when a remote
 *   database cannot be reached just now
 */
export async function prepareDatabase({
  isNew,
  migrations = join(process.cwd(), 'src/db/migrations'),
}: {
  readonly isNew: boolean;
  readonly migrations?: string;
}): Promise<void> {
  const file = fileOfAddress(databaseUrl());
  if (file !== null) placeFor(file, isNew);
  const steps = await migrationsDone(migrations);
  if (steps.unknown)
    throw new StartRefused(
      'the database was written by a newer edition. Install that one, or restore a backup of before.',
    );
  if (file === null || steps.pending === 0) await migrateDatabase(migrations);
  else await migrateWithCopy(file, migrations, steps.done > 0);
  const clinics = await read((db) => db.select({ id: clinic.id }).from(clinic).limit(1));
  if (clinics.length === 0 && !isNew)
    throw new StartRefused(
      'the database holds no clinic. If there was one, it was emptied: restore a backup. To begin a new clinic, start with --new.',
    );
}

/** Looks at the folder and the file before anything is written, and closes both to everybody else. */
function placeFor(file: string, isNew: boolean): void {
  const folder = dirname(file);
  try {
    // Not below a file: there `recursive` is told of it.
    mkdirSync(folder, { recursive: true, mode: 0o700 });
    chmodSync(folder, 0o700);
    for (const name of readdirSync(folder))
      if (name.startsWith(basename(file))) chmodSync(join(folder, name), 0o600);
  } catch {
    throw new StartRefused(
      'the data folder cannot be made or is not this user’s. Choose another one: --data DIR.',
    );
  }
  const { bavail, bsize } = statfsSync(folder);
  if (bavail * bsize < LEAST_BYTES)
    throw new StartRefused(
      'there is less than 100 MB of room left on the disk of the data folder. Make room first.',
    );
  const size = existsSync(file) ? statSync(file).size : 0;
  if (size === 0 && !isNew)
    throw new StartRefused(
      existsSync(file)
        ? 'the database is empty, so it was lost. Restore a backup, or start with --new to begin a new clinic.'
        : 'there is no database in the data folder. Look whether it is the right folder, or start with --new to begin a new clinic.',
    );
  if (size === 0 && existsSync(`${file}-wal`) && statSync(`${file}-wal`).size > 0)
    throw new StartRefused(
      'there is a journal without its database: it was copied or deleted in part. Restore a backup.',
    );
}

/** Migrations of the database that this edition knows, those it lacks, and whether it has others. */
async function migrationsDone(
  migrations: string,
): Promise<{ done: number; pending: number; unknown: boolean }> {
  const journal = JSON.parse(readFileSync(join(migrations, 'meta/_journal.json'), 'utf8')) as {
    readonly entries: readonly { readonly when: number }[];
  };
  await quickCheck();
  const tables = await rowsOf(
    sql`SELECT name FROM sqlite_master WHERE type = 'table' AND name = '__drizzle_migrations'`,
  );
  const rows =
    tables.length === 0 ? [] : await rowsOf(sql`SELECT created_at AS at FROM __drizzle_migrations`);
  const there = rows.map(({ at }) => Number(at));
  const known = new Set(journal.entries.map(({ when }) => when));
  return {
    done: there.length,
    pending: journal.entries.filter(({ when }) => !there.includes(when)).length,
    unknown: there.some((at) => !known.has(at)),
  };
}

/** @throws StartRefused when the file's pages do not fit together */
async function quickCheck(): Promise<void> {
  let found: readonly Readonly<Record<string, unknown>>[];
  try {
    found = await rowsOf(sql`PRAGMA quick_check(1)`);
  } catch (error) {
    if (error instanceof DatabaseFailure && /NOTADB|CORRUPT/.test(error.code)) throw unopened();
    throw error;
  }
  if (Object.values(found[0] ?? {})[0] !== 'ok') throw damaged();
}

/** Why a file is no database to us: the key does not fit it, or it is damaged. */
function unopened(): StartRefused {
  const file = fileOfAddress(databaseUrl());
  const head = file === null ? '' : readFileSync(file).subarray(0, 15).toString('latin1');
  const isPlain = head === 'SQLite format 3';
  if (databaseKey() !== undefined && isPlain)
    return new StartRefused(
      'the database is not encrypted, but a key is set. Encrypt it with npm run encrypt, or start without DATABASE_KEY_FILE.',
    );
  if (!isPlain && file !== null)
    return new StartRefused(
      databaseKey() === undefined
        ? 'the database is encrypted or damaged. Where it has a key, say which: DATABASE_KEY_FILE.'
        : 'the key does not fit the database, or it is damaged. Look whether DATABASE_KEY_FILE is the right one.',
    );
  return damaged();
}

const damaged = () =>
  new StartRefused(
    'the database is damaged. Keep the file as it is, and restore the newest good backup into another folder.',
  );

/** Migrates a file after copying it, and puts the copy back when a step fails. */
async function migrateWithCopy(
  file: string,
  migrations: string,
  holdsRecords: boolean,
): Promise<void> {
  if (!holdsRecords) return migrateDatabase(migrations);
  const copy = `${file}.before-migration-${Date.now()}`;
  await checkpoint();
  await copyDatabase(copy);
  try {
    await migrateDatabase(migrations);
  } catch {
    closeDatabase();
    for (const end of ['', '-wal', '-shm']) rmSync(`${file}${end}`, { force: true });
    copyFileSync(copy, file);
    throw new StartRefused(
      'the database could not be brought up to this edition. It is as it was before; start the edition before, and tell its makers.',
    );
  }
  const copies = readdirSync(dirname(file))
    .filter((name) => name.startsWith(`${basename(file)}.before-migration-`))
    .sort();
  for (const name of copies.slice(0, -KEPT_COPIES)) rmSync(join(dirname(file), name));
}
