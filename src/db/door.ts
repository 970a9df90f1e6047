import { type Client, type InValue, createClient } from '@libsql/client';
import { type SQL, sql } from 'drizzle-orm';
import type { BatchItem } from 'drizzle-orm/batch';
import { type LibSQLDatabase, drizzle } from 'drizzle-orm/libsql';
import { migrate } from 'drizzle-orm/libsql/migrator';
import { SQLiteAsyncDialect } from 'drizzle-orm/sqlite-core';
import { mkdirSync, readFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { isMainThread } from 'node:worker_threads';
import { DatabaseFailure, type GuardName, StartRefused, cleanError, isBusy } from './errors';
import { guard as guardTable } from './schema';
import { roomInTurn } from './turn';
import { marksSoFar, refuseMarked } from './unreadable';
import { processWide } from './process-wide';
import { fileOfAddress, plainFileOf } from './file-address';
import { FileClient } from './file-client';

/**
 * The one door to the database. Two properties of the client make it necessary: after one
 * SQLITE_BUSY a connection acknowledges later writes without storing them until it is reconnected,
 * and its calls block the event loop, so that a long wait freezes everybody. Hence one client for
 * the process, one write at a time, a short wait, and reconnect-and-retry. See
 * docs/decisions/0003-one-door-to-the-database.md.
 */
type House = { client: Client; db: LibSQLDatabase; queue: Promise<unknown> };

/** Client and queue, which every copy of this module must share. */
const kept = processWide<House>('database');

/** Longest synchronous wait for another process's write, in milliseconds: nobody else is answered meanwhile. */
const WAIT_MS = 20;
/** How long a write is tried again before it fails loudly, in milliseconds. */
export const PATIENCE_MS = 5_000;
let patience = PATIENCE_MS;
/** What is left of it at least for a write that stood behind others until then, in milliseconds. */
const LEAST_PATIENCE_MS = 100;

/** For tests: another patience with a database that others keep; null takes the usual one again. */
export function setPatience(milliseconds: number | null): void {
  patience = milliseconds ?? PATIENCE_MS;
}

/** DATABASE_URL, or a file in DATA_DIR (./data). */
export function databaseUrl(environment: NodeJS.ProcessEnv = process.env): string {
  return (
    environment.DATABASE_URL ??
    pathToFileURL(join(environment.DATA_DIR ?? 'data', 'dry-lantern.db')).href
  );
}

/** The least a key may be long: 32 letters of base 64 are 192 bits. */
const LEAST_KEY = 32;

/**
 * What a local database file is encrypted with: what stands in DATABASE_KEY_FILE; undefined where it is
 * not encrypted.
 *
 * @throws StartRefused when there is no such file, or too little in it
 */
export function databaseKey(
  environment: Readonly<Record<string, string | undefined>> = process.env,
): string | undefined {
  const file = environment.DATABASE_KEY_FILE;
  if (!file) return undefined;
  let key = '';
  try {
    key = readFileSync(file, 'utf8').trim();
  } catch {
    throw new StartRefused('the key of the database cannot be read: DATABASE_KEY_FILE.');
  }
  if (key.length < LEAST_KEY)
    throw new StartRefused(
      `the key of the database is too short: DATABASE_KEY_FILE holds at least ${LEAST_KEY} letters.`,
    );
  return key;
}

function house(): House {
  const open = kept.value;
  if (open) return open;
  const url = databaseUrl();
  const file = fileOfAddress(url);
  if (file !== null) {
    // Database and journals are this user's alone, however they come to be made.
    if (isMainThread) process.umask(0o077);
    mkdirSync(dirname(file), { recursive: true, mode: 0o700 });
  }
  const client = clientOf(url);
  const made = { client, db: drizzle(client), queue: Promise.resolve() };
  kept.value = made;
  return made;
}

/**
 * For a file that the usual client is asked for: queries asked at once gain nothing by a connection each,
 * since a file answers while it is asked.
 */
const ONE_CONNECTION = { concurrency: 1 };

/** A file's own client, which keeps its statements; the usual one for any other database. */
function clientOf(url: string): Client {
  const encryptionKey = url.startsWith('file:') ? databaseKey() : undefined;
  const path = plainFileOf(url);
  if (path !== null) return new FileClient(path, { timeout: WAIT_MS, encryptionKey });
  const authToken = process.env.DATABASE_AUTH_TOKEN;
  return createClient({
    url,
    timeout: WAIT_MS,
    ...(url.startsWith('file:') ? ONE_CONNECTION : {}),
    ...(authToken ? { authToken } : {}),
    ...(encryptionKey ? { encryptionKey } : {}),
  });
}

/** For reading. All writing goes through `write`. */
export function reader(): Pick<LibSQLDatabase, 'select' | 'selectDistinct'> {
  return house().db;
}

/** For building the statements given to `write`; they are not awaited themselves. */
export function builder(): Pick<LibSQLDatabase, 'insert' | 'update' | 'delete'> {
  return house().db;
}

/**
 * Runs a read and cleans what it throws.
 *
 * @throws Unreadable when a stored value is not what its column promises
 */
export async function read<T>(query: (db: ReturnType<typeof reader>) => Promise<T>): Promise<T> {
  const before = marksSoFar();
  const rows = await readOnce(query);
  // Another read may have raised the count meanwhile; then this one is only looked through for nothing.
  if (marksSoFar() !== before) refuseMarked(rows);
  return rows;
}

/** A query whose text is built, with places for its values. */
type Built<R> = { all(values?: Record<string, unknown>): Promise<R[]> };

/**
 * A read that is built once and asked again with other values: building the text of a short query costs
 * as much as asking it, and some are asked with every page.
 *
 * @param build names its values by `sql.placeholder`, which goes to the database as it is: for columns of
 *   plain text and numbers
 */
export function prepared<Values extends Record<string, string | number>, R>(
  build: (db: ReturnType<typeof reader>) => Built<R>,
): (values: Values) => Promise<R[]> {
  let built: { readonly for: House; readonly query: Built<R> } | undefined;
  return (values) =>
    read((db) => {
      const here = house();
      if (built?.for !== here) built = { for: here, query: build(db) };
      return built.query.all(values);
    });
}

/** A query that can still be bounded. */
type Boundable<T> = { readonly limit: (rows: number) => PromiseLike<T[]> };

/**
 * Reads the first row of a query and asks for no other; null when there is none.
 *
 * @throws Unreadable when a stored value is not what its column promises
 */
export async function readOne<T>(
  query: (db: ReturnType<typeof reader>) => Boundable<T>,
): Promise<T | null> {
  const rows = await read(async (db) => query(db).limit(1));
  return rows[0] ?? null;
}

async function readOnce<T>(query: (db: ReturnType<typeof reader>) => Promise<T>): Promise<T> {
  try {
    return await query(reader());
  } catch (error) {
    if (!isBusy(error)) throw cleanError(error);
    // Not through the queue: a read may be part of a write's preparation, which holds it.
    reconnect();
    try {
      return await query(reader());
    } catch (again) {
      throw cleanError(again);
    }
  }
}

function reconnect(): void {
  house().client.reconnect();
}

/** One after the other within this process. */
function inQueue<T>(job: () => Promise<T>): Promise<T> {
  const place = house();
  const mine = place.queue.then(job, job);
  place.queue = mine.catch(() => undefined);
  return mine;
}

export type Statement = BatchItem<'sqlite'>;

/**
 * Stores all of these statements or none. Resolves only when they are stored.
 *
 * @param prepare builds the statements; it runs while no other write of this process can, so what it
 *   reads cannot be changed by one. It runs again when the batch has to be tried again.
 * @throws GuardRefused when a guard no longer held, AlreadyThere for a row that must be unique,
 *   DatabaseFailure 'busy' when another process kept the database for five seconds
 */
export async function write(
  prepare: (db: ReturnType<typeof builder>) => readonly Statement[] | Promise<readonly Statement[]>,
): Promise<void> {
  // From when it was asked for: those behind it in the queue do not wait for each other's patience.
  const asked = performance.now();
  return inQueue(async () => {
    await roomInTurn();
    const until = Math.max(asked + patience, performance.now() + LEAST_PATIENCE_MS);
    for (let attempt = 1; ; attempt += 1) {
      try {
        const [first, ...others] = await prepare(builder());
        if (first) await house().db.batch([first, ...others]);
        return;
      } catch (error) {
        if (!isBusy(error)) throw cleanError(error);
        reconnect();
        if (performance.now() > until) throw new DatabaseFailure('busy', 'SQLITE_BUSY');
        await pause(Math.min(400, 10 * 2 ** attempt) * (0.5 + Math.random() / 2));
      }
    }
  });
}

function pause(milliseconds: number): Promise<void> {
  return new Promise((resolve) => setTimeout(resolve, milliseconds));
}

/** What a guard asks for. */
export type Condition = SQL;

/** All of these conditions; there is at least one. */
export function allOf(conditions: readonly Condition[]): Condition {
  const [only] = conditions;
  if (conditions.length === 1 && only) return only;
  return sql.join(
    conditions.map((one) => sql`(${one})`),
    sql` AND `,
  );
}

/** A statement that fails its whole batch unless the condition holds at that moment. */
export function guard(name: GuardName, condition: Condition): Statement {
  return builder()
    .insert(guardTable)
    .values({ name, holds: sql`(SELECT coalesce((${condition}), 0) <> 0)` });
}

/** Brings the schema up to date. Forward only; safe to call at every start. */
export async function migrateDatabase(
  folder = join(process.cwd(), 'src/db/migrations'),
): Promise<void> {
  await inQueue(async () => {
    const until = performance.now() + PATIENCE_MS;
    for (;;) {
      try {
        const { client, db } = house();
        if (client.protocol === 'file') await client.execute('PRAGMA journal_mode = WAL');
        await migrate(db, { migrationsFolder: folder });
        return;
      } catch (error) {
        if (!isBusy(error) || performance.now() > until) throw cleanError(error);
        reconnect();
        await pause(100);
      }
    }
  });
}

const DIALECT = new SQLiteAsyncDialect();

/** Rows of a question about the database itself: its pages, its tables. */
export async function rowsOf(query: SQL): Promise<readonly Readonly<Record<string, unknown>>[]> {
  return inQueue(async () => {
    try {
      const { sql: text, params } = DIALECT.sqlToQuery(query);
      const { columns, rows } = await house().client.execute({
        sql: text,
        args: params as InValue[],
      });
      return rows.map((row) => Object.fromEntries(columns.map((column, at) => [column, row[at]])));
    } catch (error) {
      throw cleanError(error);
    }
  });
}

/** Writes a whole copy of a local database, as it is at this moment, into a file that is not there yet. */
export async function copyDatabase(to: string): Promise<void> {
  await inQueue(() => house().client.execute({ sql: 'VACUUM INTO ?', args: [to] }));
}

/** Closes the client; the next call opens it again. For tests and scripts. */
export function closeDatabase(): void {
  kept.value?.client.close();
  kept.value = undefined;
}

/** Rows of an index looked at for its statistics: enough for the order of a join, a few milliseconds. */
const ANALYSED_ROWS = 400;
/** Tables that are joined, where the order matters: a version's lines, not every line's version. */
const JOINED = ['programme_version', 'programme_line'];

/**
 * Brings the database's statistics of the tables that are joined up to date, and takes away all others:
 * what it decides by those of a young clinic, or of whatever this connection happened to read, is not what
 * the tests hold its plans to. Does nothing on a remote database. Called at the start and once a day: it writes.
 */
export async function optimizeDatabase(): Promise<void> {
  await inQueue(async () => {
    const { client } = house();
    if (client.protocol !== 'file') return;
    try {
      await client.execute(`PRAGMA analysis_limit = ${ANALYSED_ROWS}`);
      for (const table of JOINED) await client.execute(`ANALYZE ${table}`);
      const kept = JOINED.map((table) => `'${table}'`).join();
      await client.execute(`DELETE FROM sqlite_stat1 WHERE tbl NOT IN (${kept})`);
      // Reads anew what is left.
      await client.execute('ANALYZE sqlite_schema');
    } catch (error) {
      if (!isBusy(error)) throw cleanError(error);
      reconnect();
    }
  });
}

/**
 * Folds the journal into the database file and cuts it, so that what was overwritten is gone from
 * both. Does nothing on a remote database. Readers that are in the way leave it for the next time.
 */
export async function checkpoint(): Promise<void> {
  await inQueue(async () => {
    const { client } = house();
    if (client.protocol !== 'file') return;
    try {
      await client.execute('PRAGMA wal_checkpoint(TRUNCATE)');
    } catch (error) {
      if (!isBusy(error)) throw cleanError(error);
      reconnect();
    }
  });
}
