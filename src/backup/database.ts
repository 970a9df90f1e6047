import { createClient, type Client, type InValue } from '@libsql/client';
import { createHash } from 'node:crypto';
import { createReadStream } from 'node:fs';
import { pathToFileURL } from 'node:url';
import { BackupProblem } from './problem';

/** What a copied database holds, kept beside it to be compared when it is restored. */
export type Contents = {
  /** Rows of every table. */
  readonly tables: Readonly<Record<string, number>>;
  /** Migrations it has been through: how many, and when the newest was written. */
  readonly migrations: { readonly count: number; readonly newest: number };
};

const quoted = (name: string) => `"${name.replaceAll('"', '""')}"`;

/** A name or a statement of the schema. */
const textOf = (value: unknown) => (typeof value === 'string' ? value : '');

/** Rows read of each table in one go. */
const PAGE = 500;

/** A client of a file, encrypted with a key where one is given. */
const fileClient = (file: string, key: string | undefined): Client =>
  createClient({ url: pathToFileURL(file).href, ...(key ? { encryptionKey: key } : {}) });

async function tablesOf(client: Client): Promise<string[]> {
  const { rows } = await client.execute(
    "SELECT name FROM sqlite_master WHERE type = 'table' AND name NOT LIKE 'sqlite_%' ORDER BY name",
  );
  return rows.map(({ name }) => textOf(name));
}

/**
 * Reads a database file whole: its pages fit together, every reference holds, and every row of every
 * table can be read.
 *
 * @param key what the file is encrypted with, where it is
 * @throws BackupProblem when it cannot
 */
export async function contentsOf(file: string, key?: string): Promise<Contents> {
  const client = fileClient(file, key);
  try {
    const { rows: found } = await client.execute('PRAGMA integrity_check(1)');
    const { rows: loose } = await client.execute('PRAGMA foreign_key_check');
    if (Object.values(found[0] ?? {})[0] !== 'ok' || loose.length > 0)
      throw new BackupProblem('The database is damaged: its pages do not fit together.');
    const tables: Record<string, number> = {};
    for (const table of await tablesOf(client)) tables[table] = await rowsRead(client, table);
    const steps = tables.__drizzle_migrations
      ? await client.execute('SELECT max(created_at) AS newest FROM __drizzle_migrations')
      : null;
    return {
      tables,
      migrations: {
        count: tables.__drizzle_migrations ?? 0,
        newest: Number(steps?.rows[0]?.newest ?? 0),
      },
    };
  } catch (error) {
    if (error instanceof BackupProblem) throw error;
    throw new BackupProblem(
      'The database cannot be read: it is damaged, or its key is another one.',
    );
  } finally {
    client.close();
  }
}

/** Reads every row of a table, and counts them. */
async function rowsRead(client: Client, table: string): Promise<number> {
  let count = 0;
  for (let after = -1; ;) {
    const { rows } = await client.execute({
      sql: `SELECT rowid AS row__id, * FROM ${quoted(table)} WHERE rowid > ? ORDER BY rowid LIMIT ${PAGE}`,
      args: [after],
    });
    count += rows.length;
    const last = rows.at(-1);
    if (!last || rows.length < PAGE) return count;
    after = Number(last.row__id);
  }
}

/** Copies a database, as it is at one moment, into a file that is not there yet; encrypted as it is. */
export async function copyTo(
  url: string,
  {
    authToken,
    key,
  }: { readonly authToken?: string | undefined; readonly key?: string | undefined },
  file: string,
) {
  const client = createClient({
    url,
    ...(authToken ? { authToken } : {}),
    ...(key && url.startsWith('file:') ? { encryptionKey: key } : {}),
  });
  try {
    if (client.protocol === 'file') await client.execute({ sql: 'VACUUM INTO ?', args: [file] });
    else await dumpTo(client, file, key);
  } finally {
    client.close();
  }
}

/** A remote database gives no file, so its schema and rows are read in one transaction and written anew. */
async function dumpTo(remote: Client, file: string, key: string | undefined): Promise<void> {
  const local = fileClient(file, key);
  const reading = await remote.transaction('read');
  try {
    const { rows: schema } = await reading.execute(
      "SELECT type, name, sql FROM sqlite_master WHERE sql IS NOT NULL AND name NOT LIKE 'sqlite_%'",
    );
    const made = (type: string) =>
      schema.filter((row) => row.type === type).map(({ sql }) => textOf(sql));
    await local.execute('PRAGMA foreign_keys = OFF');
    await local.batch(made('table'), 'write');
    for (const { name } of schema.filter((row) => row.type === 'table')) {
      const table = quoted(textOf(name));
      for (let after = -1; ;) {
        const { rows, columns } = await reading.execute({
          sql: `SELECT rowid AS row__id, * FROM ${table} WHERE rowid > ? ORDER BY rowid LIMIT ${PAGE}`,
          args: [after],
        });
        if (rows.length > 0)
          await local.batch(
            rows.map((row) => ({
              sql: `INSERT INTO ${table} (rowid, ${columns.slice(1).map(quoted).join(', ')}) VALUES (${columns.map(() => '?').join(', ')})`,
              args: columns.map((_, index) => row[index] as InValue),
            })),
            'write',
          );
        const last = rows.at(-1);
        if (!last || rows.length < PAGE) break;
        after = Number(last.row__id);
      }
    }
    // Triggers last: they would refuse or repeat what is only being copied.
    await local.batch([...made('index'), ...made('view'), ...made('trigger')], 'write');
  } finally {
    reading.close();
    local.close();
  }
}

/**
 * Writes a plain database file anew, encrypted with a key.
 *
 * @throws BackupProblem when the new one does not hold what the old one holds
 */
export async function encryptTo(file: string, to: string, key: string): Promise<Contents> {
  const client = fileClient(file, undefined);
  try {
    await dumpTo(client, to, key);
  } finally {
    client.close();
  }
  const [before, after] = [await contentsOf(file), await contentsOf(to, key)];
  if (JSON.stringify(before) !== JSON.stringify(after))
    throw new BackupProblem('The encrypted database does not hold what the plain one holds.');
  return after;
}

/** SHA-256 of a file, in hex. */
export async function hashOfFile(file: string): Promise<string> {
  const hash = createHash('sha256');
  for await (const part of createReadStream(file)) hash.update(part as Buffer);
  return hash.digest('hex');
}
