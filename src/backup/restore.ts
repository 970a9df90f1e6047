import {
  createWriteStream,
  existsSync,
  mkdirSync,
  readdirSync,
  renameSync,
  rmSync,
  writeFileSync,
} from 'node:fs';
import { join } from 'node:path';
import { contentsOf } from './database';
import { addErasures } from './erasures-file';
import type { Manifest } from './pack';
import { BackupProblem } from './problem';
import { readBackup } from './read';
import type { Secret } from './secret';

/**
 * Puts a backup back into a folder that is empty or not there: nothing is ever overwritten.
 *
 * @param newest when the newest migration of this edition was written
 * @throws BackupProblem with a sentence; then the folder is as it was
 */
export async function restoreBackup({
  from,
  to,
  secret,
  newest,
  erasures,
  databaseKey,
}: {
  readonly from: string;
  readonly to: string;
  readonly secret: Secret;
  readonly newest: number;
  /** Lines of the list of erasures, to stand beside the restored database. */
  readonly erasures: readonly string[];
  /** What the database was encrypted with, where it was. */
  readonly databaseKey?: string | undefined;
}): Promise<Manifest> {
  const wasThere = existsSync(to);
  if (wasThere && readdirSync(to).length > 0)
    throw new BackupProblem(
      'The folder is not empty. Restore into an empty one, look, then change over.',
    );
  mkdirSync(to, { recursive: true, mode: 0o700 });
  const making = join(to, 'restoring.db');
  try {
    const manifest = await readBackup(from, secret, createWriteStream(making, { mode: 0o600 }));
    if (manifest.migrations.newest > newest)
      throw new BackupProblem(
        'This backup is of a newer edition than the one that is installed. Install that one first.',
      );
    const { tables } = await contentsOf(making, databaseKey);
    if (JSON.stringify(tables) !== JSON.stringify(manifest.tables))
      throw new BackupProblem('The restored database does not hold what the backup says it holds.');
    for (const { name, text } of manifest.languages) {
      mkdirSync(join(to, 'languages'), { recursive: true, mode: 0o700 });
      writeFileSync(join(to, 'languages', name), text, { mode: 0o600 });
    }
    addErasures(to, erasures);
    renameSync(making, join(to, 'dry-lantern.db'));
    return manifest;
  } catch (error) {
    // The folder was empty, so everything in it is of this run.
    for (const name of readdirSync(to)) rmSync(join(to, name), { recursive: true, force: true });
    if (!wasThere) rmSync(to, { recursive: true, force: true });
    throw error;
  }
}
