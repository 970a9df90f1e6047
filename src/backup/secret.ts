import { createHmac, hkdfSync, randomBytes, scrypt } from 'node:crypto';
import { readFileSync, statSync, writeFileSync } from 'node:fs';
import { promisify } from 'node:util';
import { BackupProblem } from './problem';

/** What a backup is locked with: words that a person keeps, or a file with random bytes. */
export type Secret =
  | { readonly kind: 'passphrase'; readonly words: string }
  | { readonly kind: 'key file'; readonly bytes: Buffer };

const LEAST_WORDS = 12;
const KEY_BYTES = 32;
const MOST_KEY_BYTES = 4096;

/**
 * The secret that environment or options name: BACKUP_KEY_FILE, BACKUP_PASSPHRASE_FILE, or
 * BACKUP_PASSPHRASE.
 *
 * @throws BackupProblem when none is named, or it is too short to be one
 */
export function secretFrom(named: {
  readonly keyFile?: string | undefined;
  readonly passphraseFile?: string | undefined;
  readonly passphrase?: string | undefined;
}): Secret {
  if (named.keyFile) {
    const bytes = contentOf(named.keyFile);
    if (bytes.length < KEY_BYTES)
      throw new BackupProblem('The key file is too short: it holds at least 32 random bytes.');
    return { kind: 'key file', bytes };
  }
  const words = (
    named.passphraseFile
      ? contentOf(named.passphraseFile).toString('utf8')
      : (named.passphrase ?? '')
  ).trim();
  if (words === '')
    throw new BackupProblem(
      'A backup holds every record, so it is locked. Name what with: --key-file FILE or --passphrase-file FILE.',
    );
  if (words.length < LEAST_WORDS)
    throw new BackupProblem('The passphrase is too short: take at least twelve characters.');
  return { kind: 'passphrase', words: words.normalize('NFC') };
}

function contentOf(path: string): Buffer {
  try {
    if (statSync(path).size > MOST_KEY_BYTES)
      throw new BackupProblem('The file with the key is larger than any key.');
    return readFileSync(path);
  } catch (error) {
    if (error instanceof BackupProblem) throw error;
    throw new BackupProblem('The file with the key cannot be read.');
  }
}

/** Writes a new key file, its owner's alone; an existing file is never overwritten. */
export function makeKeyFile(path: string): void {
  try {
    writeFileSync(path, randomBytes(KEY_BYTES), { mode: 0o600, flag: 'wx' });
  } catch {
    throw new BackupProblem('The key file cannot be written, or is there already.');
  }
}

/** The cost of scrypt: 64 MiB; OWASP 2023 names N = 2^16, r = 8, p = 2 as one of its settings. */
export const COST = { logN: 16, r: 8, p: 2 } as const;
export type Cost = { readonly logN: number; readonly r: number; readonly p: number };

const stretch = promisify<string, Buffer, number, object, Buffer>(scrypt);

/** Two keys of a secret: one to lock with, one to say whether the secret is right. */
export async function keysOf(
  secret: Secret,
  salt: Buffer,
  { logN, r, p }: Cost,
): Promise<{ readonly lock: Buffer; readonly check: Buffer }> {
  const root =
    secret.kind === 'passphrase'
      ? await stretch(secret.words, salt, KEY_BYTES, {
          N: 2 ** logN,
          r,
          p,
          maxmem: 256 * 2 ** logN * r,
        })
      : secret.bytes;
  const part = (name: string) => Buffer.from(hkdfSync('sha256', root, salt, name, KEY_BYTES));
  return { lock: part('dry-lantern backup'), check: part('dry-lantern check') };
}

/** What stands in the head of a backup, so that a wrong key is told from a damaged file. */
export function checkValue(check: Buffer, head: Buffer): Buffer {
  return createHmac('sha256', check).update(head).digest().subarray(0, 16);
}
