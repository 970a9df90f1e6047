import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { setFlagsFromString } from 'node:v8';
import { runInNewContext } from 'node:vm';
import {
  type Client,
  type InArgs,
  LibsqlBatchError,
  LibsqlError,
  createClient,
} from '@libsql/client';
import { FileClient } from './file-client';

/** Checked beside the client it stands for (`@libsql/client`), on the same file. */
let folder: string;
let file: string;
let ours: FileClient;
let theirs: Client;

beforeEach(async () => {
  folder = mkdtempSync(join(tmpdir(), 'file-client-'));
  file = join(folder, 'a file.db');
  ours = new FileClient(file, { timeout: 20 });
  theirs = createClient({ url: `file:${file}`, timeout: 20, concurrency: 1 });
  await ours.execute('PRAGMA journal_mode = WAL');
  await ours.execute(
    'CREATE TABLE thing (id INTEGER PRIMARY KEY, name TEXT UNIQUE, size REAL, data BLOB, CHECK (size < 1000))',
  );
});

afterEach(() => {
  ours.close();
  theirs.close();
  rmSync(folder, { recursive: true, force: true });
});

const add = (id: number, name: string, size: number | null = null) => ({
  sql: 'INSERT INTO thing (id, name, size) VALUES (?, ?, ?)',
  args: [id, name, size],
});
const namesIn = async (client: Client) =>
  (await client.execute('SELECT name FROM thing ORDER BY id')).rows.map((row) => row[0]);
const thrownBy = (job: Promise<unknown>) => job.then(() => null).catch((error: unknown) => error);

describe('a value', () => {
  const values = [
    ['null', null],
    ['a whole number', 42],
    ['a negative one', -7],
    ['the largest whole number', Number.MAX_SAFE_INTEGER],
    ['the lowest', -Number.MAX_SAFE_INTEGER],
    ['a fraction', 0.1],
    ['a text', 'Größe 🎐'],
    ['an empty text', ''],
    ['yes', true],
    ['no', false],
    ['a moment', new Date('2026-12-01T07:30:00Z')],
    ['a large integer', 9_007_199_254_740_991n],
    ['bytes', Buffer.from([0, 1, 255])],
    ['no bytes', Buffer.alloc(0)],
    ['bytes without more', new Uint8Array([7, 0, 9]).buffer],
  ] as const;

  it.each(values)('%s comes back as the usual client gives it', async (_, value) => {
    const asked = { sql: 'SELECT ? AS given, typeof(?) AS kind', args: [value, value] };
    const [here, there] = [await ours.execute(asked), await theirs.execute(asked)];
    expect(here.columns).toEqual(there.columns);
    expect([...(here.rows[0] as never)]).toEqual(Array.from(there.rows[0] as never));
    // Again, with the statement that was kept.
    expect((await ours.execute(asked)).rows).toEqual(here.rows);
  });

  it('may have a name instead of a place', async () => {
    const asked = { sql: 'SELECT :a AS a, $b AS b', args: { a: 1, ':b': 'two' } };
    expect((await ours.execute(asked)).rows[0]).toEqual([1, 'two']);
  });

  it.each([
    ['nothing', [undefined]],
    ['no number', [Number.NaN]],
    ['more than any number', [Infinity]],
    ['an integer of more than 64 bits', [2n ** 63n]],
    ['a lower one', [-(2n ** 63n) - 1n]],
  ])('that is %s is refused, as the usual client does', async (_, args) => {
    const asked = { sql: 'SELECT ?', args: args as InArgs };
    const [here, there] = [
      await thrownBy(ours.execute(asked)),
      await thrownBy(theirs.execute(asked)),
    ];
    expect(here).toBeInstanceOf(Error);
    expect((here as Error).name).toBe((there as Error).name);
  });

  it('may be the largest and the lowest integer of 64 bits', async () => {
    for (const value of [2n ** 63n - 1n, -(2n ** 63n)])
      expect((await ours.execute({ sql: 'SELECT typeof(?)', args: [value] })).rows).toEqual([
        ['integer'],
      ]);
  });

  it('too large for a number is refused, not rounded', async () => {
    await expect(ours.execute('SELECT 9007199254740993')).rejects.toBeInstanceOf(RangeError);
    await expect(ours.execute('SELECT -9007199254740993')).rejects.toBeInstanceOf(RangeError);
  });
});

it('tells what it wrote as the usual client does', async () => {
  const told = ({
    rows,
    rowsAffected,
    lastInsertRowid,
  }: Awaited<ReturnType<Client['execute']>>) => ({
    rows,
    rowsAffected,
    lastInsertRowid,
  });
  const here = told(await ours.execute(add(5, 'a')));
  expect(here).toEqual({ rows: [], rowsAffected: 1, lastInsertRowid: 5n });
  expect(told(await theirs.execute(add(6, 'b')))).toEqual({ ...here, lastInsertRowid: 6n });
  const changed = await ours.execute('UPDATE thing SET size = 1');
  expect(changed.rowsAffected).toBe(2);
  const returned = await ours.execute('DELETE FROM thing RETURNING id, name');
  expect([returned.columns, returned.rows]).toEqual([
    ['id', 'name'],
    [
      [5, 'a'],
      [6, 'b'],
    ],
  ]);
});

it.each([0, 1, 99, 100, 101, 200, 250])('reads all of %d rows, again and again', async (count) => {
  const asked = {
    sql: 'WITH RECURSIVE n(i) AS (SELECT 1 UNION ALL SELECT i + 1 FROM n) SELECT i FROM n LIMIT ?',
    args: [count],
  };
  const wanted = Array.from({ length: count }, (_, at) => [at + 1]);
  expect((await ours.execute(asked)).rows).toEqual(wanted);
  expect((await ours.execute({ ...asked, args: [3] })).rows).toHaveLength(3);
  expect((await ours.execute(asked)).rows).toEqual(wanted);
});

it('keeps columns of the same name apart', async () => {
  const { columns, rows, rowsAffected } = await ours.execute('SELECT 1 AS id, 2 AS id');
  expect([columns, rows, rowsAffected]).toEqual([['id', 'id'], [[1, 2]], 0]);
});

describe('a kept statement', () => {
  it('sees what others wrote since, and keeps nobody from folding the journal', async () => {
    await ours.execute(add(1, 'one'));
    expect(await namesIn(ours)).toEqual(['one']);
    await theirs.execute(add(2, 'two'));
    expect(await namesIn(ours)).toEqual(['one', 'two']);
    const { rows } = await theirs.execute('PRAGMA wal_checkpoint(TRUNCATE)');
    expect(rows[0]?.busy).toBe(0);
    await theirs.execute('VACUUM');
    expect(await namesIn(ours)).toEqual(['one', 'two']);
  });

  it('holds when others change the schema', async () => {
    await ours.execute(add(1, 'one'));
    expect(await namesIn(ours)).toEqual(['one']);
    await theirs.execute('ALTER TABLE thing ADD COLUMN more TEXT');
    await theirs.execute('CREATE INDEX by_size ON thing (size)');
    expect(await namesIn(ours)).toEqual(['one']);
    await ours.execute(add(2, 'two'));
    expect(await namesIn(theirs)).toEqual(['one', 'two']);
  });

  it('works again after it failed', async () => {
    await ours.execute(add(1, 'one'));
    for (let time = 0; time < 3; time += 1)
      expect(await thrownBy(ours.execute(add(1, 'another')))).toBeInstanceOf(LibsqlError);
    await ours.execute(add(2, 'two'));
    expect(await namesIn(theirs)).toEqual(['one', 'two']);
  });

  it('stays right when more are asked than are kept', async () => {
    for (let at = 0; at < 1_300; at += 1)
      expect((await ours.execute(`SELECT ${at} AS n`)).rows).toEqual([[at]]);
    expect((await ours.execute('SELECT 0 AS n')).rows).toEqual([[0]]);
  });
});

describe('a failure', () => {
  const cases: [string, string, InArgs][] = [
    ['a name that is taken', 'INSERT INTO thing (name) VALUES (?)', ['one']],
    ['a key that is taken', 'INSERT INTO thing (id) VALUES (?)', [1]],
    ['a value that is not allowed', 'INSERT INTO thing (size) VALUES (?)', [1_000]],
    ['no such table', 'SELECT * FROM nothing', []],
    ['no statement', 'SELEC 1', []],
  ];
  it.each(cases)('by %s is told as the usual client tells it', async (_, sql, args) => {
    await ours.execute(add(1, 'one'));
    const [here, there] = [
      await thrownBy(ours.execute({ sql, args })),
      await thrownBy(theirs.execute({ sql, args })),
    ] as LibsqlError[];
    expect(here).toBeInstanceOf(LibsqlError);
    const told = (error: LibsqlError | undefined) => [
      error?.message,
      error?.code,
      error?.extendedCode,
      error?.rawCode,
    ];
    expect(told(here)).toEqual(told(there));
  });

  it('by another’s lock says so, and the file can be written afterwards', async () => {
    const other = await theirs.transaction('write');
    await other.execute(add(1, 'one'));
    const failed = await thrownBy(ours.batch([add(2, 'two')]));
    expect(failed).toMatchObject({ code: 'SQLITE_BUSY' });
    await other.commit();
    ours.reconnect();
    await ours.batch([add(2, 'two')]);
    expect(await namesIn(theirs)).toEqual(['one', 'two']);
  });
});

describe('a batch', () => {
  it('stores all of it, and answers one by one', async () => {
    const answers = await ours.batch([
      add(1, 'one'),
      'SELECT count(*) FROM thing',
      ['SELECT name FROM thing WHERE id = ?', [1]],
    ]);
    expect(answers.map(({ rows }) => rows)).toEqual([[], [[1]], [['one']]]);
    expect(await namesIn(theirs)).toEqual(['one']);
  });

  it('stores nothing when one of it fails, says which, and the next one works', async () => {
    const failed = await thrownBy(
      ours.batch([add(1, 'one'), add(2, 'two'), add(3, 'one')], 'write'),
    );
    expect(failed).toBeInstanceOf(LibsqlBatchError);
    expect(failed).toMatchObject({ statementIndex: 2, code: 'SQLITE_CONSTRAINT' });
    expect(await namesIn(theirs)).toEqual([]);
    await ours.batch([add(1, 'one')]);
    expect(await namesIn(theirs)).toEqual(['one']);
  });

  it('changes the schema with references not looked at, and looks at them afterwards', async () => {
    await ours.migrate(['CREATE TABLE part (of INTEGER REFERENCES thing (id))']);
    expect((await ours.execute('PRAGMA foreign_keys')).rows).toEqual([[1]]);
    const loose = await thrownBy(ours.execute('INSERT INTO part VALUES (7)'));
    expect(loose).toMatchObject({ code: 'SQLITE_CONSTRAINT' });
    // What others refer to may be made anew.
    await ours.batch([add(7, 'seven'), 'INSERT INTO part VALUES (7)']);
    const anew = ['DROP TABLE thing', 'CREATE TABLE thing (id INTEGER PRIMARY KEY, name TEXT)'];
    expect(await thrownBy(ours.batch(anew))).toBeInstanceOf(LibsqlError);
    await ours.migrate(anew);
    expect(await namesIn(theirs)).toEqual([]);
  });
});

/** Only where nobody else has the file open, its journal is put away. */
async function isAlone(): Promise<boolean> {
  const { rows } = await theirs.execute('PRAGMA journal_mode = DELETE').catch(() => ({ rows: [] }));
  return rows[0]?.[0] === 'delete';
}

/** The engine lets a connection go with the last of its statements, which memory is tidied of. */
async function untilAlone(): Promise<void> {
  setFlagsFromString('--expose-gc');
  const tidyUp = runInNewContext('gc') as () => void;
  for (let tries = 0; !(await isAlone()); tries += 1) {
    if (tries === 200) throw new Error('somebody has the file open still');
    tidyUp();
    await new Promise((resolve) => setTimeout(resolve, 10));
  }
}

it('lets the file go as it is closed, and the connection of before as it takes another', async () => {
  await ours.execute(add(1, 'one'));
  await namesIn(ours);
  expect(await isAlone()).toBe(false);
  ours.reconnect();
  await namesIn(ours);
  ours.close();
  await untilAlone();
});

it('answers nobody once it is closed, and again once it is opened anew', async () => {
  await ours.execute(add(1, 'one'));
  ours.close();
  ours.close();
  expect(await thrownBy(ours.execute('SELECT 1'))).toMatchObject({ code: 'CLIENT_CLOSED' });
  expect(await thrownBy(ours.batch(['SELECT 1']))).toMatchObject({ code: 'CLIENT_CLOSED' });
  ours.reconnect();
  expect(await namesIn(ours)).toEqual(['one']);
});

it('offers nothing that would go past the door', async () => {
  for (const job of [ours.transaction(), ours.executeMultiple(), ours.sync()])
    await expect(job).rejects.toMatchObject({ code: 'NOT_OFFERED' });
});

it('says at once when there is no such folder, or another key', async () => {
  expect(() => new FileClient(join(folder, 'no', 'such.db'), { timeout: 20 })).toThrow(
    'Unable to open',
  );
  const locked = join(folder, 'locked.db');
  const encryptionKey = 'k'.repeat(40);
  const written = new FileClient(locked, { timeout: 20, encryptionKey });
  await written.execute('CREATE TABLE kept (n)');
  written.close();
  const other = { timeout: 20, encryptionKey: 'x'.repeat(40) };
  const opened = () => new FileClient(locked, other).execute('SELECT * FROM kept');
  await expect((async () => opened())()).rejects.toBeInstanceOf(LibsqlError);
});
