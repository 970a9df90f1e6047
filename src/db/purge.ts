import { createClient } from '@libsql/client';
import { readdirSync, rmSync } from 'node:fs';
import { basename, dirname, join } from 'node:path';
import { databaseKey } from './door';

/** How long it waits for others to leave the database, milliseconds. */
const WAIT_MS = 30_000;

/**
 * Takes what was deleted out of the file itself: every page is written anew, the journal is folded in
 * and cut, and copies of before a migration, which hold the old rows, are removed. Does nothing to a
 * remote database, whose keeper has to. It blocks while it runs, so a server has a thread do it.
 *
 * @param url the database, as the door opens it
 */
export async function purgeDatabase(url: string): Promise<void> {
  if (!url.startsWith('file:')) return;
  const file = url.slice('file:'.length);
  const encryptionKey = databaseKey();
  const client = createClient({
    url,
    timeout: WAIT_MS,
    ...(encryptionKey ? { encryptionKey } : {}),
  });
  try {
    await client.execute('PRAGMA secure_delete = ON');
    await client.execute('VACUUM');
    await client.execute('PRAGMA wal_checkpoint(TRUNCATE)');
  } finally {
    client.close();
  }
  for (const name of readdirSync(dirname(file)))
    if (name.startsWith(`${basename(file)}.before-migration-`)) rmSync(join(dirname(file), name));
}
