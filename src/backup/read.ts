import { createHash } from 'node:crypto';
import { createReadStream, type WriteStream } from 'node:fs';
import { once } from 'node:events';
import { pipeline } from 'node:stream/promises';
import { createGunzip } from 'node:zlib';
import { unlocked } from './envelope';
import { type Manifest, unpacked } from './pack';
import { BackupProblem } from './problem';
import type { Secret } from './secret';

/**
 * Reads a backup whole.
 *
 * @param into where its database is written; null to read it only
 * @throws BackupProblem with a sentence for whatever is wrong with the file or the key, also when the
 *   database in it is not the one that was put into it
 */
export async function readBackup(
  file: string,
  secret: Secret,
  into: WriteStream | null,
): Promise<Manifest> {
  const hash = createHash('sha256');
  try {
    const manifest = await pipeline(
      createReadStream(file),
      (source) => unlocked(source as AsyncIterable<Uint8Array>, secret),
      createGunzip(),
      async (source) => {
        return unpacked(source as AsyncIterable<Uint8Array>, async (part) => {
          hash.update(part);
          if (into && !into.write(part)) await once(into, 'drain');
        });
      },
    );
    if (into) await new Promise<void>((resolve, reject) => into.end(resolve).on('error', reject));
    if (hash.digest('hex') !== manifest.sha256)
      throw new BackupProblem('What was read is not what was written: the disk may be failing.');
    return manifest;
  } catch (error) {
    if (error instanceof BackupProblem) throw error;
    throw new BackupProblem(
      (error as { code?: string }).code === 'ENOENT'
        ? 'There is no such backup.'
        : 'This backup cannot be read. Nothing was restored; take another one.',
    );
  }
}
