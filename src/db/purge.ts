import { type Client, createClient } from '@libsql/client';
import { readdirSync, rmSync } from 'node:fs';
import { setFlagsFromString } from 'node:v8';
import { runInNewContext } from 'node:vm';
import { basename, dirname, join } from 'node:path';
import { databaseKey } from './door';
import { fileOfAddress } from './file-address';

/** How long it waits for others to leave the database, milliseconds. */
const WAIT_MS = 10_000;
/** How often the journal is tried to be cut while others read in it, with a rest between, milliseconds. */
const TRIES = 8;
const REST_MS = 250;

/**
 * Takes what was deleted out of the file itself: every page is written anew, the journal is folded in
 * and cut, and copies of before a migration, which hold the old rows, are removed. Does nothing to a
 * remote database, whose keeper has to. It blocks while it runs, so a server has a thread do it.
 *
 * @param url the database, as the door opens it
 * @returns whether the journal could be cut (see `cutJournal`)
 */
export async function purgeDatabase(url: string): Promise<boolean> {
  const file = fileOfAddress(url);
  if (file === null) return true;
  const client = clientOf(url, WAIT_MS);
  try {
    await client.execute('PRAGMA secure_delete = ON');
    await client.execute('VACUUM');
  } finally {
    client.close();
  }
  for (const name of readdirSync(dirname(file)))
    if (name.startsWith(`${basename(file)}.before-migration-`)) rmSync(join(dirname(file), name));
  return cutJournal(url);
}

/**
 * Folds the journal in and cuts it, as soon as nobody reads in it. A statement that failed keeps its
 * place in the journal until it is collected as garbage, also after its connection was closed; so it is
 * collected, in this thread.
 *
 * @returns false when somebody kept a place in it all the time; a clean end of the server cuts it
 */
export async function cutJournal(url: string): Promise<boolean> {
  if (fileOfAddress(url) === null) return true;
  const client = clientOf(url, 0);
  try {
    for (let tried = 0; tried < TRIES; tried += 1) {
      const { rows } = await client.execute('PRAGMA wal_checkpoint(TRUNCATE)');
      if (Number(rows[0]?.busy) === 0) return true;
      collectStatements();
      await new Promise((resolve) => setTimeout(resolve, REST_MS));
    }
    return false;
  } finally {
    client.close();
  }
}

function clientOf(url: string, timeout: number): Client {
  const encryptionKey = databaseKey();
  return createClient({ url, timeout, ...(encryptionKey ? { encryptionKey } : {}) });
}

/** Collects what nobody refers to any more; the engine has no other way to be asked. */
function collectStatements(): void {
  setFlagsFromString('--expose_gc');
  const collect = runInNewContext('gc') as () => void;
  collect();
}
