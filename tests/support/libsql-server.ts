import { type Server, createServer } from 'node:http';
import { randomUUID } from 'node:crypto';
import Database from 'libsql';

/**
 * A stand-in for a remote libSQL server: its JSON-over-HTTP pipeline (version 2) over a local file,
 * with bearer token and batons, as far as this application's client speaks it.
 */
type Value =
  | { type: 'null' }
  | { type: 'integer'; value: string }
  | { type: 'float'; value: number }
  | { type: 'text'; value: string }
  | { type: 'blob'; base64: string };
type Stmt = {
  sql?: string;
  sql_id?: number;
  args?: Value[];
  named_args?: { name: string; value: Value }[];
};
type Condition =
  | { type: 'ok' | 'error'; step: number }
  | { type: 'not'; cond: Condition }
  | { type: 'and' | 'or'; conds: Condition[] }
  | { type: 'is_autocommit' };
type Step = { stmt: Stmt; condition?: Condition | null };
type Request =
  | { type: 'execute'; stmt: Stmt }
  | { type: 'batch'; batch: { steps: Step[] } }
  | { type: 'sequence'; sql?: string; sql_id?: number }
  | { type: 'store_sql'; sql_id: number; sql: string }
  | { type: 'close_sql'; sql_id: number }
  | { type: 'get_autocommit' }
  | { type: 'close' };
type Stream = { db: Database.Database; sql: Map<number, string> };

function fromValue(value: Value): unknown {
  switch (value.type) {
    case 'null':
      return null;
    case 'integer':
      return Number(value.value);
    case 'float':
    case 'text':
      return value.value;
    case 'blob':
      return Buffer.from(value.base64, 'base64');
  }
}

function toValue(value: unknown): Value {
  if (value === null || value === undefined) return { type: 'null' };
  if (typeof value === 'number') {
    return Number.isInteger(value)
      ? { type: 'integer', value: String(value) }
      : { type: 'float', value };
  }
  if (typeof value === 'bigint') return { type: 'integer', value: String(value) };
  if (typeof value === 'string') return { type: 'text', value };
  return { type: 'blob', base64: Buffer.from(value as Uint8Array).toString('base64') };
}

function execute(stream: Stream, stmt: Stmt) {
  const sql = stmt.sql ?? stream.sql.get(stmt.sql_id ?? -1) ?? '';
  const prepared = stream.db.prepare(sql);
  const args: unknown[] =
    stmt.named_args && stmt.named_args.length > 0
      ? [
          Object.fromEntries(
            stmt.named_args.map(({ name, value }) => [
              name.replace(/^[:@$]/, ''),
              fromValue(value),
            ]),
          ),
        ]
      : (stmt.args ?? []).map(fromValue);
  if (!prepared.reader) {
    const { changes, lastInsertRowid } = prepared.run(...args);
    return {
      cols: [],
      rows: [],
      affected_row_count: changes,
      last_insert_rowid: String(lastInsertRowid),
    };
  }
  const cols = prepared.columns().map(({ name, type }) => ({ name, decltype: type }));
  const rows = (prepared.raw(true).all(...args) as unknown[][]).map((row) => row.map(toValue));
  return { cols, rows, affected_row_count: 0, last_insert_rowid: null };
}

function errorOf(error: unknown) {
  const { message, code } = error as { message: string; code?: string };
  return { message, code: code ?? 'UNKNOWN' };
}

function holds(
  condition: Condition,
  results: unknown[],
  errors: unknown[],
  db: Database.Database,
): boolean {
  switch (condition.type) {
    case 'ok':
      return results[condition.step] != null;
    case 'error':
      return errors[condition.step] != null;
    case 'not':
      return !holds(condition.cond, results, errors, db);
    case 'and':
      return condition.conds.every((one) => holds(one, results, errors, db));
    case 'or':
      return condition.conds.some((one) => holds(one, results, errors, db));
    case 'is_autocommit':
      return !db.inTransaction;
  }
}

function batch(stream: Stream, steps: Step[]) {
  const results: unknown[] = [];
  const errors: unknown[] = [];
  for (const [index, { stmt, condition }] of steps.entries()) {
    results[index] = null;
    errors[index] = null;
    if (condition && !holds(condition, results, errors, stream.db)) continue;
    try {
      results[index] = execute(stream, stmt);
    } catch (error) {
      errors[index] = errorOf(error);
    }
  }
  return { step_results: results, step_errors: errors };
}

function answer(stream: Stream, request: Request): unknown {
  switch (request.type) {
    case 'execute':
      return { type: 'execute', result: execute(stream, request.stmt) };
    case 'batch':
      return { type: 'batch', result: batch(stream, request.batch.steps) };
    case 'sequence':
      stream.db.exec(request.sql ?? stream.sql.get(request.sql_id ?? -1) ?? '');
      return { type: 'sequence' };
    case 'store_sql':
      stream.sql.set(request.sql_id, request.sql);
      return { type: 'store_sql' };
    case 'close_sql':
      stream.sql.delete(request.sql_id);
      return { type: 'close_sql' };
    case 'get_autocommit':
      return { type: 'get_autocommit', is_autocommit: !stream.db.inTransaction };
    case 'close':
      return { type: 'close' };
  }
}

export type LibsqlServer = {
  readonly url: string;
  readonly requests: () => number;
  close(): Promise<void>;
};

/** Serves the file on a free port of this machine, to whoever has the token. */
export async function startLibsqlServer(file: string, token: string): Promise<LibsqlServer> {
  const streams = new Map<string, Stream>();
  let requests = 0;
  const server: Server = createServer((request, response) => {
    const say = (status: number, body: unknown) => {
      response.writeHead(status, { 'content-type': 'application/json' });
      response.end(JSON.stringify(body));
    };
    if (request.method !== 'POST' || request.url !== '/v2/pipeline')
      return say(404, { message: 'no such path' });
    if (request.headers.authorization !== `Bearer ${token}`)
      return say(401, { message: 'wrong token' });
    let text = '';
    request.on('data', (data: Buffer) => {
      text += data.toString();
    });
    request.on('end', () => {
      requests += 1;
      const { baton, requests: asked } = JSON.parse(text) as {
        baton: string | null;
        requests: Request[];
      };
      const known = baton === null ? undefined : streams.get(baton);
      if (baton !== null) streams.delete(baton);
      const stream = known ?? { db: new Database(file), sql: new Map<number, string>() };
      const results = asked.map((one) => {
        try {
          return { type: 'ok', response: answer(stream, one) };
        } catch (error) {
          return { type: 'error', error: errorOf(error) };
        }
      });
      let next: string | null = null;
      if (asked.some((one) => one.type === 'close')) stream.db.close();
      else {
        next = randomUUID();
        streams.set(next, stream);
      }
      say(200, { baton: next, base_url: null, results });
    });
    return undefined;
  });
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
  const address = server.address();
  if (!address || typeof address !== 'object') throw new Error('no port');
  return {
    url: `http://127.0.0.1:${address.port}`,
    requests: () => requests,
    async close() {
      for (const stream of streams.values()) stream.db.close();
      server.closeAllConnections();
      await new Promise((resolve) => server.close(resolve));
    },
  };
}
