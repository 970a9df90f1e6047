import { copyFileSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { ROOT } from './server';

const MIGRATIONS = join(ROOT, 'src/db/migrations');

/** A folder with the migrations as they were after the first `count`, for a database of that time. */
export function olderMigrations(folder: string, count: number): string {
  const older = join(folder, 'older');
  mkdirSync(join(older, 'meta'), { recursive: true });
  const journal = JSON.parse(readFileSync(join(MIGRATIONS, 'meta/_journal.json'), 'utf8')) as {
    entries: { tag: string }[];
  };
  const entries = journal.entries.slice(0, count);
  for (const { tag } of entries)
    copyFileSync(join(MIGRATIONS, `${tag}.sql`), join(older, `${tag}.sql`));
  writeFileSync(join(older, 'meta/_journal.json'), JSON.stringify({ ...journal, entries }));
  return older;
}
