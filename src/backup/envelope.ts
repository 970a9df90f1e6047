import { createCipheriv, createDecipheriv, randomBytes, timingSafeEqual } from 'node:crypto';
import { BackupProblem } from './problem';
import { COST, type Secret, checkValue, keysOf } from './secret';

/**
 * The locked file. Its head, 64 bytes:
 *
 * | at | bytes | |
 * |---|---|---|
 * | 0 | 8 | "DLBACKUP" |
 * | 8 | 1 | 1, the version of this form |
 * | 9 | 1 | 1: scrypt of a passphrase; 2: a key file |
 * | 10 | 3 | scrypt's log2 N, r, p |
 * | 13 | 3 | 0 |
 * | 16 | 16 | salt |
 * | 32 | 7 | the beginning of every nonce |
 * | 39 | 1 | 0 |
 * | 40 | 4 | bytes of a piece, little-endian |
 * | 44 | 4 | 0 |
 * | 48 | 16 | HMAC-SHA256 of the 48 bytes before, under the check key, its first half |
 *
 * Then pieces: AES-256-GCM with its 16-byte tag behind, the head beside it as associated data, the nonce
 * made of the beginning, the piece's number (4 bytes, big-endian) and 1 for the last piece, else 0. So
 * nothing can be changed, left out, doubled or cut off unseen (the STREAM construction: Hoang,
 * Reyhanitabar, Rogaway, Vizár 2015; from memory).
 */
const MAGIC = 'DLBACKUP';
const VERSION = 1;
const HEAD_BYTES = 64;
const TAG_BYTES = 16;
const PIECE_BYTES = 1024 * 1024;
const KINDS = { passphrase: 1, 'key file': 2 } as const;
/** A forged head must not make us take all memory. */
const MOST_LOG_N = 20;
const MOST_PIECE_BYTES = 16 * 1024 * 1024;

const nonceOf = (beginning: Buffer, index: number, last: boolean) => {
  const nonce = Buffer.alloc(12);
  beginning.copy(nonce);
  nonce.writeUInt32BE(index, 7);
  nonce[11] = last ? 1 : 0;
  return nonce;
};

/** Bytes in pieces of one size; the last is the rest, and never missing. */
async function* pieces(
  source: AsyncIterable<Uint8Array>,
  size: number,
): AsyncGenerator<{ piece: Buffer; last: boolean }> {
  let held = Buffer.alloc(0);
  for await (const part of source) {
    held = held.length === 0 ? Buffer.from(part) : Buffer.concat([held, part]);
    // One piece more is waited for, since only then it is known not to be the last.
    while (held.length > size) {
      yield { piece: held.subarray(0, size), last: false };
      held = held.subarray(size);
    }
  }
  yield { piece: held, last: true };
}

/** Locks a stream of bytes. */
export async function* locked(
  source: AsyncIterable<Uint8Array>,
  secret: Secret,
): AsyncGenerator<Buffer> {
  const head = Buffer.alloc(HEAD_BYTES);
  head.write(MAGIC, 'latin1');
  head.set([VERSION, KINDS[secret.kind], COST.logN, COST.r, COST.p], 8);
  randomBytes(16).copy(head, 16);
  randomBytes(7).copy(head, 32);
  head.writeUInt32LE(PIECE_BYTES, 40);
  const keys = await keysOf(secret, head.subarray(16, 32), COST);
  checkValue(keys.check, head.subarray(0, 48)).copy(head, 48);
  yield head;
  let index = 0;
  for await (const { piece, last } of pieces(source, PIECE_BYTES)) {
    const cipher = createCipheriv(
      'aes-256-gcm',
      keys.lock,
      nonceOf(head.subarray(32, 39), index, last),
    );
    cipher.setAAD(head);
    yield Buffer.concat([cipher.update(piece), cipher.final(), cipher.getAuthTag()]);
    index += 1;
  }
}

/**
 * Unlocks what `locked` made.
 *
 * @throws BackupProblem for another kind of file, a newer form, a wrong key, or bytes that were changed,
 *   lost or cut off
 */
export async function* unlocked(
  source: AsyncIterable<Uint8Array>,
  secret: Secret,
): AsyncGenerator<Buffer> {
  const { head, rest } = await headOf(source);
  const [version, kind, logN = 0, r = 0, p = 0] = head.subarray(8, 13);
  const size = head.readUInt32LE(40);
  if (head.toString('latin1', 0, 8) !== MAGIC)
    throw new BackupProblem('This file is no backup of Dry Lantern.');
  if (version !== VERSION)
    throw new BackupProblem('This backup was made by a newer edition. Install that one first.');
  if (kind !== KINDS[secret.kind])
    throw new BackupProblem(
      kind === KINDS.passphrase
        ? 'This backup is locked with a passphrase, not with a key file.'
        : 'This backup is locked with a key file, not with a passphrase.',
    );
  if (logN > MOST_LOG_N || r > 32 || p > 16 || size === 0 || size > MOST_PIECE_BYTES)
    throw damaged();
  const keys = await keysOf(secret, head.subarray(16, 32), { logN, r, p });
  if (!timingSafeEqual(checkValue(keys.check, head.subarray(0, 48)), head.subarray(48, 64)))
    throw new BackupProblem('This is not the key of this backup, or its first bytes are damaged.');
  let index = 0;
  for await (const { piece, last } of pieces(rest, size + TAG_BYTES)) {
    if (piece.length < TAG_BYTES) throw damaged();
    const cipher = createDecipheriv(
      'aes-256-gcm',
      keys.lock,
      nonceOf(head.subarray(32, 39), index, last),
    );
    cipher.setAAD(head);
    cipher.setAuthTag(piece.subarray(-TAG_BYTES));
    const plain = cipher.update(piece.subarray(0, -TAG_BYTES));
    try {
      cipher.final();
    } catch {
      throw damaged();
    }
    yield plain;
    index += 1;
  }
}

const damaged = () =>
  new BackupProblem(
    'This backup is damaged or was cut off. Nothing was restored; take another one.',
  );

/** The head of a file, and what comes after it. */
async function headOf(
  source: AsyncIterable<Uint8Array>,
): Promise<{ head: Buffer; rest: AsyncIterable<Uint8Array> }> {
  const iterator = source[Symbol.asyncIterator]();
  let held = Buffer.alloc(0);
  while (held.length < HEAD_BYTES) {
    const next = await iterator.next();
    if (next.done) throw new BackupProblem('This file is no backup of Dry Lantern.');
    held = Buffer.concat([held, next.value]);
  }
  const after = held.subarray(HEAD_BYTES);
  async function* rest() {
    yield after;
    for (;;) {
      const next = await iterator.next();
      if (next.done) return;
      yield next.value;
    }
  }
  return { head: held.subarray(0, HEAD_BYTES), rest: rest() };
}
