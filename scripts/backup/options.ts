import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { type ParseArgsConfig, parseArgs } from 'node:util';
import { BackupProblem, secretFrom } from '@/backup';
import { StartRefused } from '@/db';

/** What a backup is locked with, as options or in the environment. */
export const SECRET_OPTIONS = {
  'key-file': { type: 'string' },
  'passphrase-file': { type: 'string' },
} as const satisfies ParseArgsConfig['options'];

export function secretOf(values: Readonly<Record<string, string | boolean | undefined>>) {
  const text = (name: string) => (typeof values[name] === 'string' ? values[name] : undefined);
  return secretFrom({
    keyFile: text('key-file') ?? process.env.BACKUP_KEY_FILE,
    passphraseFile: text('passphrase-file') ?? process.env.BACKUP_PASSPHRASE_FILE,
    passphrase: process.env.BACKUP_PASSPHRASE,
  });
}

/** The folder of the records. */
export const dataFolder = (given: string | undefined) => given ?? process.env.DATA_DIR ?? 'data';

/** The database of a folder, or the one that DATABASE_URL names. */
export const urlOf = (data: string) =>
  process.env.DATABASE_URL ?? pathToFileURL(join(data, 'dry-lantern.db')).href;

/** Runs a command; a fault is one sentence and a code that is not zero. */
export function command(work: () => Promise<void>): void {
  process.umask(0o077);
  work().catch((error: unknown) => {
    console.error(
      error instanceof BackupProblem || error instanceof StartRefused
        ? error.say
        : error instanceof TypeError && 'code' in error
          ? error.message
          : `Something went wrong (${error instanceof Error ? error.name : 'unknown'}).`,
    );
    process.exitCode = 1;
  });
}

export { parseArgs };
