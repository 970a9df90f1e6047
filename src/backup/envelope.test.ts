import { randomBytes } from 'node:crypto';
import { locked, unlocked } from './envelope';
import type { Secret } from './secret';

const KEY: Secret = { kind: 'key file', bytes: Buffer.alloc(32, 7) };
const WORDS: Secret = { kind: 'passphrase', words: 'lantern by the dry harbour' };
const MEGABYTE = 1024 * 1024;

async function* stream(...parts: Uint8Array[]) {
  yield* parts;
}
async function all(source: AsyncIterable<Uint8Array>): Promise<Buffer> {
  const parts: Uint8Array[] = [];
  for await (const part of source) parts.push(part);
  return Buffer.concat(parts);
}
const lock = (bytes: Uint8Array, secret: Secret = KEY) => all(locked(stream(bytes), secret));
const unlock = (bytes: Uint8Array, secret: Secret = KEY) => all(unlocked(stream(bytes), secret));
const refused = (say: string) => ({ say: expect.stringContaining(say) as string });

describe('a locked file', () => {
  it.each([0, 1, MEGABYTE - 1, MEGABYTE, MEGABYTE + 1, 3 * MEGABYTE])(
    'gives back its %i bytes, however they arrive',
    async (length) => {
      const plain = randomBytes(length);
      const file = await lock(plain);
      expect((await unlock(file)).equals(plain)).toBe(true);
      const cut = [file.subarray(0, 10), file.subarray(10, 70), file.subarray(70)];
      expect((await all(unlocked(stream(...cut), KEY))).equals(plain)).toBe(true);
      // 64 bytes of head, 16 for every piece.
      expect(file.length).toBe(64 + length + 16 * Math.max(1, Math.ceil(length / MEGABYTE)));
    },
  );

  it('says nothing of what it holds, and never the same twice', async () => {
    const plain = Buffer.from('Chin tucks for somebody. '.repeat(50));
    const [one, another] = [await lock(plain), await lock(plain)];
    expect(one.includes('Chin')).toBe(false);
    expect(one.subarray(64).equals(another.subarray(64))).toBe(false);
  });

  it('opens with its passphrase alone', async () => {
    const file = await lock(Buffer.from('records'), WORDS);
    expect((await unlock(file, WORDS)).toString()).toBe('records');
    await expect(
      unlock(file, {
        kind: 'passphrase',
        words: 'lantern by the wet harbour',
      }),
    ).rejects.toMatchObject(refused('not the key'));
    await expect(unlock(file, KEY)).rejects.toMatchObject(refused('with a passphrase'));
    await expect(unlock(await lock(Buffer.from('x')), WORDS)).rejects.toMatchObject(
      refused('with a key file'),
    );
  });

  it('is refused with one bit changed anywhere, cut off, doubled or out of order', async () => {
    const file = await lock(randomBytes(2 * MEGABYTE + 5));
    const piece = MEGABYTE + 16;
    for (const at of [16, 33, 41, 50, 64, 1000, 64 + piece - 1, 64 + piece, file.length - 1]) {
      const changed = Buffer.from(file);
      changed[at] = (changed[at] ?? 0) ^ 1;
      await expect(unlock(changed)).rejects.toMatchObject({ name: 'BackupProblem' });
    }
    const [head, first, second, last] = [
      file.subarray(0, 64),
      file.subarray(64, 64 + piece),
      file.subarray(64 + piece, 64 + 2 * piece),
      file.subarray(64 + 2 * piece),
    ] as const;
    for (const parts of [
      [head],
      [head, first],
      [head, first, second],
      [head, second, first, last],
      [head, first, first, second, last],
      [head, first, last],
      [head, first, second, last, last],
    ])
      await expect(unlock(Buffer.concat(parts))).rejects.toMatchObject(refused('damaged'));
  });

  it('of another kind or form is named', async () => {
    await expect(unlock(Buffer.alloc(0))).rejects.toMatchObject(refused('no backup'));
    await expect(unlock(Buffer.alloc(500, 65))).rejects.toMatchObject(refused('no backup'));
    const newer = await lock(Buffer.from('x'));
    newer[8] = 2;
    await expect(unlock(newer)).rejects.toMatchObject(refused('newer edition'));
    // A head that asks for all memory.
    const greedy = await lock(Buffer.from('x'), WORDS);
    greedy[10] = 30;
    await expect(unlock(greedy, WORDS)).rejects.toMatchObject(refused('damaged'));
  });
});
