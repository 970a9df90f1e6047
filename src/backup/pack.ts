import { z } from 'zod';
import { BackupProblem } from './problem';

/** What stands before the database in a backup. */
export const Manifest = z.object({
  form: z.literal(1),
  madeAt: z.string().max(40),
  tables: z.record(z.string().max(100), z.number().int().min(0)),
  migrations: z.object({ count: z.number().int(), newest: z.number() }),
  sha256: z.string().regex(/^[0-9a-f]{64}$/),
  languages: z
    .array(z.object({ name: z.string().regex(/^[\w-]{1,40}\.json$/), text: z.string() }))
    .max(100),
});
export type Manifest = z.infer<typeof Manifest>;

/** When the newest migration was written, by the journal that stands beside them. */
export function newestMigration(journal: string): number {
  const { entries } = z
    .object({ entries: z.array(z.object({ when: z.number() })) })
    .parse(JSON.parse(journal));
  return Math.max(...entries.map(({ when }) => when));
}

/** The longest a manifest may be, bytes: tables and the texts of languages. */
const MOST_BYTES = 32 * 1024 * 1024;

/** A manifest with its length before it (4 bytes, little-endian), then the database. */
export async function* packed(
  manifest: Manifest,
  database: AsyncIterable<Uint8Array>,
): AsyncGenerator<Uint8Array> {
  const text = Buffer.from(JSON.stringify(manifest));
  const length = Buffer.alloc(4);
  length.writeUInt32LE(text.length);
  yield length;
  yield text;
  yield* database;
}

/**
 * Takes apart what `packed` made, handing the database on piece by piece.
 *
 * @throws BackupProblem when there is no manifest, or one of a newer form
 */
export async function unpacked(
  source: AsyncIterable<Uint8Array>,
  database: (part: Uint8Array) => Promise<void> | void,
): Promise<Manifest> {
  let held = Buffer.alloc(0);
  let manifest: Manifest | null = null;
  for await (const part of source) {
    if (manifest !== null) {
      await database(part);
      continue;
    }
    held = Buffer.concat([held, part]);
    if (held.length < 4) continue;
    const length = held.readUInt32LE(0);
    if (length > MOST_BYTES) throw unreadable();
    if (held.length < 4 + length) continue;
    manifest = manifestIn(held.subarray(4, 4 + length));
    await database(held.subarray(4 + length));
  }
  if (manifest === null) throw unreadable();
  return manifest;
}

function manifestIn(bytes: Buffer): Manifest {
  try {
    return Manifest.parse(JSON.parse(bytes.toString('utf8')));
  } catch {
    throw unreadable();
  }
}

const unreadable = () =>
  new BackupProblem(
    'What this backup says of itself cannot be read: it may be of a newer edition.',
  );
