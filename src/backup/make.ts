import {
  chmodSync,
  createReadStream,
  createWriteStream,
  existsSync,
  mkdirSync,
  openSync,
  closeSync,
  fsyncSync,
  readdirSync,
  readFileSync,
  renameSync,
  rmSync,
  statSync,
} from 'node:fs';
import { join } from 'node:path';
import { pipeline } from 'node:stream/promises';
import { createGzip } from 'node:zlib';
import { contentsOf, copyTo, hashOfFile } from './database';
import { locked } from './envelope';
import { addErasures, erasureLines } from './erasures-file';
import { type Manifest, packed } from './pack';
import { BackupProblem } from './problem';
import { readBackup } from './read';
import { backupName, madeAt, outlived } from './rotation';
import type { Secret } from './secret';

/** A run that was cut off leaves its mark; after so long it counts as over, milliseconds. */
const STALE_MS = 2 * 3_600_000;

export type BackupOrder = {
  /** The database, as the door opens it. */
  readonly url: string;
  readonly authToken?: string | undefined;
  /** What the database file is encrypted with, where it is; its copy is too. */
  readonly databaseKey?: string | undefined;
  /** The folder of the database: where the copy stands for a moment, and where languages are. */
  readonly data: string;
  /** The folder the backups stand in. */
  readonly to: string;
  readonly secret: Secret;
  readonly at: number;
};

export type BackupMade = {
  readonly file: string;
  readonly bytes: number;
  readonly rows: number;
  /** Older backups that were deleted. */
  readonly removed: number;
};

/**
 * Makes a backup while the server goes on: a consistent copy, checked row by row, compressed, locked,
 * read back whole and compared, put in its place at once, and the outlived ones removed.
 *
 * @throws BackupProblem with a sentence; then no file of this run is left
 */
export async function makeBackup(order: BackupOrder): Promise<BackupMade> {
  const { url, authToken, databaseKey: key, data, to, secret, at } = order;
  mkdirSync(to, { recursive: true, mode: 0o700 });
  const mark = take(to, at);
  const copy = join(data, `.backup-${process.pid}-${at}.db`);
  const file = join(to, backupName(at));
  const making = `${file}.making`;
  try {
    await copyTo(url, { authToken, key }, copy);
    chmodSync(copy, 0o600);
    const manifest: Manifest = {
      form: 1,
      madeAt: new Date(at).toISOString(),
      ...(await contentsOf(copy, key)),
      sha256: await hashOfFile(copy),
      languages: languagesIn(data),
    };
    await pipeline(
      packed(manifest, createReadStream(copy)),
      createGzip(),
      (source) => locked(source as AsyncIterable<Uint8Array>, secret),
      createWriteStream(making, { mode: 0o600 }),
    );
    // Written down before it is called good: read whole, as it would be when it is needed.
    sync(making);
    await readBackup(making, secret, null);
    renameSync(making, file);
    sync(to);
    // Beside the backups, never in one: a backup that is put back is erased again by it.
    addErasures(to, erasureLines(data));
    const old = outlived(readdirSync(to));
    for (const name of old) rmSync(join(to, name));
    const rows = Object.values(manifest.tables).reduce((sum, count) => sum + count, 0);
    return { file, bytes: statSync(file).size, rows, removed: old.length };
  } catch (error) {
    if (error instanceof BackupProblem) throw error;
    throw new BackupProblem(
      (error as { code?: string }).code === 'ENOSPC'
        ? 'There is no room left where the backups stand.'
        : 'The backup could not be written.',
    );
  } finally {
    for (const left of [copy, `${copy}-wal`, `${copy}-shm`, `${copy}-journal`, making, mark])
      rmSync(left, { force: true });
  }
}

/** One run at a time for a folder, over all processes. */
function take(to: string, at: number): string {
  const mark = join(to, '.dry-lantern-backup');
  try {
    if (existsSync(mark) && at - statSync(mark).mtimeMs > STALE_MS) rmSync(mark);
    closeSync(openSync(mark, 'wx', 0o600));
    return mark;
  } catch (error) {
    throw new BackupProblem(
      (error as { code?: string }).code === 'EEXIST'
        ? 'Another backup is being made into this folder.'
        : 'The folder for backups cannot be written to.',
    );
  }
}

function sync(path: string): void {
  const handle = openSync(path, 'r');
  try {
    fsyncSync(handle);
  } finally {
    closeSync(handle);
  }
}

/** The clinic's own languages, which stand beside its database. */
function languagesIn(data: string): Manifest['languages'] {
  const folder = join(data, 'languages');
  if (!existsSync(folder)) return [];
  return readdirSync(folder)
    .filter((name) => name.endsWith('.json'))
    .map((name) => ({ name, text: readFileSync(join(folder, name), 'utf8') }));
}

/** When the newest backup of a folder was made; null when there is none. */
export function newestBackup(to: string): number | null {
  if (!existsSync(to)) return null;
  const times = readdirSync(to).map(madeAt);
  return times.reduce<number | null>(
    (newest, at) => (at !== null && at > (newest ?? 0) ? at : newest),
    null,
  );
}
