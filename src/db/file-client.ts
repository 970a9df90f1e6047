import {
  type Client,
  type InArgs,
  type InStatement,
  type InValue,
  LibsqlBatchError,
  LibsqlError,
  type ResultSet,
  type Row,
  type TransactionMode,
  type Value,
} from '@libsql/client';
import Database from 'libsql';
import { KeptStatements } from './kept-statements';

/** Places where values stand, in the order of their statement, or by name. */
type Arguments = readonly InValue[] | Readonly<Record<string, InValue>>;
type Asked = { readonly sql: string; readonly args: Arguments };

export type FileOptions = {
  /** Longest synchronous wait for another process's write, in milliseconds. */
  readonly timeout: number;
  readonly encryptionKey?: string | undefined;
};

/**
 * A client for a database that is a file, over one connection, which keeps the statements it has been
 * asked: the usual one has the engine read each statement's text anew, asks twice for its columns' names
 * and makes each row by defining one property after another, most of the time of a short read
 * (docs/decisions/0088). A row is an array of its values; names of columns stand with the whole answer.
 */
export class FileClient implements Client {
  readonly protocol = 'file';
  closed = false;
  #connection: Database.Database;
  #statements: KeptStatements;

  /** @throws Error when the file cannot be opened; what is no database, or has another key, fails when asked */
  constructor(
    private readonly path: string,
    private readonly options: FileOptions,
  ) {
    this.#connection = this.#opened();
    this.#statements = new KeptStatements(this.#connection);
  }

  async execute(asked: InStatement, args?: InArgs): Promise<ResultSet> {
    this.#refuseClosed();
    return this.#answer(
      typeof asked === 'string' ? { sql: asked, args: args ?? [] } : whole(asked),
    );
  }

  /** All of them or none. */
  async batch(
    asked: readonly (InStatement | [string, InArgs?])[],
    mode: TransactionMode = 'deferred',
  ): Promise<ResultSet[]> {
    this.#refuseClosed();
    try {
      this.#answer({ sql: BEGINNINGS[mode], args: [] });
      const answers = asked.map((one, at) => this.#answerOfBatch(whole(one), at));
      this.#answer({ sql: 'COMMIT', args: [] });
      return answers;
    } finally {
      if (this.#connection.inTransaction) this.#rollBack();
    }
  }

  /** As `batch`, without looking at references between tables: for the schema's own changes. */
  async migrate(asked: readonly InStatement[]): Promise<ResultSet[]> {
    await this.execute('PRAGMA foreign_keys=off');
    try {
      return await this.batch(asked);
    } finally {
      await this.execute('PRAGMA foreign_keys=on');
    }
  }

  /** Not offered: whoever writes gives the door a whole batch. */
  transaction(): Promise<never> {
    return Promise.reject(notOffered('transaction'));
  }

  /** Not offered, as no statement here comes without values of its own. */
  executeMultiple(): Promise<never> {
    return Promise.reject(notOffered('executeMultiple'));
  }

  /** Not offered: this file is a replica of nothing. */
  sync(): Promise<never> {
    return Promise.reject(notOffered('sync'));
  }

  /** Lets the connection go and takes a new one. */
  reconnect(): void {
    this.close();
    this.#connection = this.#opened();
    this.#statements = new KeptStatements(this.#connection);
    this.closed = false;
  }

  close(): void {
    this.closed = true;
    this.#statements.forgetAll();
    if (this.#connection.open) this.#connection.close();
  }

  #opened(): Database.Database {
    return new Database(this.path, this.options);
  }

  #refuseClosed(): void {
    if (this.closed) throw new LibsqlError('The client is closed', 'CLIENT_CLOSED');
  }

  #answer({ sql, args }: Asked): ResultSet {
    try {
      const { statement, columns, types } = this.#statements.prepared(sql);
      const values = boundValues(args);
      if (columns === null) {
        const { changes, lastInsertRowid } = statement.run(values);
        return answer([], [], [], changes, BigInt(lastInsertRowid));
      }
      const rows = statement.all(values) as unknown[][];
      for (const row of rows) readInPlace(row);
      return answer(columns, types, rows as unknown as Row[], 0, undefined);
    } catch (error) {
      // What failed half way is not asked again: it may stand in the middle of its rows.
      this.#statements.forget(sql);
      throw clientError(error);
    }
  }

  #answerOfBatch(asked: Asked, at: number): ResultSet {
    if (!this.#connection.inTransaction)
      throw new LibsqlBatchError('The transaction has been rolled back', at, 'TRANSACTION_CLOSED');
    try {
      return this.#answer(asked);
    } catch (error) {
      if (!(error instanceof LibsqlError)) throw error;
      const { message, code, extendedCode, rawCode, cause } = error;
      throw new LibsqlBatchError(
        message,
        at,
        code,
        extendedCode,
        rawCode,
        cause instanceof Error ? cause : undefined,
      );
    }
  }

  /** A connection that cannot roll back is let go: whoever came next would stand in another's transaction. */
  #rollBack(): void {
    try {
      this.#answer({ sql: 'ROLLBACK', args: [] });
    } catch {
      this.reconnect();
    }
  }
}

const BEGINNINGS: Readonly<Record<TransactionMode, string>> = {
  write: 'BEGIN IMMEDIATE',
  read: 'BEGIN TRANSACTION READONLY',
  deferred: 'BEGIN DEFERRED',
};

function whole(asked: InStatement | [string, InArgs?]): Asked {
  if (typeof asked === 'string') return { sql: asked, args: [] };
  if (Array.isArray(asked)) return { sql: asked[0], args: asked[1] ?? [] };
  return { sql: asked.sql, args: asked.args ?? [] };
}

function answer(
  columns: string[],
  columnTypes: string[],
  rows: Row[],
  rowsAffected: number,
  lastInsertRowid: bigint | undefined,
): ResultSet {
  const told = { columns, columnTypes, rows, rowsAffected, lastInsertRowid };
  return { ...told, toJSON: () => ({ ...told, lastInsertRowid: lastInsertRowid?.toString() }) };
}

const SIGN = /^[@$:]/;

/** What the engine binds, by place or by name without its sign. */
function boundValues(args: Arguments): unknown[] | Record<string, unknown> {
  if (Array.isArray(args)) return args.map(boundValue);
  return Object.fromEntries(
    Object.entries(args).map(([name, value]) => [name.replace(SIGN, ''), boundValue(value)]),
  );
}

const LARGEST_INTEGER = 2n ** 63n - 1n;

/** @throws RangeError for a number that a database cannot hold, TypeError for no value at all */
function boundValue(value: InValue): unknown {
  if (value === undefined)
    throw new TypeError('undefined cannot be passed as argument to the database');
  if (typeof value === 'number' && !Number.isFinite(value))
    throw new RangeError('Only finite numbers (not Infinity or NaN) can be passed as arguments');
  if (typeof value === 'bigint' && (value > LARGEST_INTEGER || value < -LARGEST_INTEGER - 1n))
    throw new RangeError('bigint is too large to be passed as argument');
  if (typeof value === 'boolean') return value ? 1 : 0;
  if (value instanceof ArrayBuffer) return Buffer.from(value);
  if (value instanceof Date) return value.valueOf();
  return value;
}

/** Makes of what the engine gives what a client gives. */
function readInPlace(row: unknown[]): void {
  for (let at = 0; at < row.length; at += 1) {
    const value = row[at];
    if (typeof value === 'bigint') row[at] = asNumber(value);
    else if (value instanceof Buffer) row[at] = value.buffer as Value;
  }
}

const LARGEST_NUMBER = BigInt(Number.MAX_SAFE_INTEGER);

function asNumber(value: bigint): number {
  if (value > LARGEST_NUMBER || value < -LARGEST_NUMBER)
    throw new RangeError('an integer is too large to be represented as a JavaScript number');
  return Number(value);
}

/** The engine's error as a client tells it: with the code's family, and the code itself beside it. */
function clientError(error: unknown): unknown {
  if (!(error instanceof Database.SqliteError)) return error;
  const family = error.code.split('_').slice(0, 2).join('_');
  return new LibsqlError(error.message, family, error.code, error.rawCode, error);
}

const notOffered = (what: string) =>
  new LibsqlError(`${what} is not offered here: the door writes batches`, 'NOT_OFFERED');
