import { createHash } from 'node:crypto';
import {
  copyFileSync,
  existsSync,
  mkdirSync,
  mkdtempSync,
  readFileSync,
  renameSync,
  rmSync,
} from 'node:fs';
import { dirname, join } from 'node:path';
import { closeDatabase, databaseUrl, fileOfAddress, migrateDatabase } from '@/db';
import { copyDatabase } from '@/db/door';
import { ROOT } from './server';

const MIGRATIONS = join(ROOT, 'src/db/migrations');

/** The name of everything that made the schema: another migration, another file. */
function versionOfMigrations(): string {
  const hash = createHash('sha256');
  const journal = readFileSync(join(MIGRATIONS, 'meta/_journal.json'), 'utf8');
  hash.update(journal);
  for (const { tag } of (JSON.parse(journal) as { entries: { tag: string }[] }).entries)
    hash.update(readFileSync(join(MIGRATIONS, `${tag}.sql`)));
  return hash.digest('hex').slice(0, 16);
}

/** Makes an empty database with the whole schema beside the place, then moves it there in one step. */
async function make(to: string): Promise<void> {
  mkdirSync(dirname(to), { recursive: true });
  const folder = mkdtempSync(`${to}-`);
  const before = process.env.DATA_DIR;
  process.env.DATA_DIR = folder;
  try {
    await migrateDatabase();
    // As one file, whatever still stands in the journal beside it.
    await copyDatabase(join(folder, 'whole.db'));
  } finally {
    closeDatabase();
    process.env.DATA_DIR = before;
  }
  renameSync(join(folder, 'whole.db'), to);
  rmSync(folder, { recursive: true, force: true });
}

/**
 * Brings the database of this process up to date. One that is not there yet begins as a copy of an empty
 * one with the whole schema, which is made once: all migrations take half a second, and a hundred test
 * files begin with them. That they lead there is tested in tests/database/migrations.test.ts.
 */
export async function migrated(): Promise<void> {
  const file = fileOfAddress(databaseUrl());
  if (file !== null && !existsSync(file) && !process.env.DATABASE_KEY_FILE) {
    const empty = join(ROOT, 'test-output', `migrated-${versionOfMigrations()}.db`);
    if (!existsSync(empty)) await make(empty);
    mkdirSync(dirname(file), { recursive: true });
    copyFileSync(empty, file);
  }
  await migrateDatabase();
}
