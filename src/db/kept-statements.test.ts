import type Database from 'libsql';
import { KeptStatements } from './kept-statements';

/** A connection that notes what it has been given to read. */
function connection() {
  const read: string[] = [];
  const raw = jest.fn();
  const safeIntegers = jest.fn();
  const prepare = (sql: string) => {
    read.push(sql);
    const statement = {
      reader: /^select/i.test(sql),
      safeIntegers,
      raw,
      columns: () => [
        { name: 'n', type: 'INTEGER' },
        { name: 'm', type: null },
      ],
    };
    return statement as unknown as Database.Statement;
  };
  return {
    read,
    raw,
    safeIntegers,
    kept: new KeptStatements({ prepare } as unknown as Database.Database),
  };
}

it.each([
  'SELECT 1',
  'select 1',
  ' SELECT 1',
  'INSERT INTO a VALUES (1)',
  'BEGIN DEFERRED',
  'COMMIT',
])('has the engine read %p once', (sql) => {
  const { read, kept } = connection();
  const first = kept.prepared(sql);
  expect(kept.prepared(sql)).toBe(first);
  expect(kept.prepared(sql)).toBe(first);
  expect(read).toEqual([sql]);
});

it.each(['PRAGMA optimize', 'VACUUM INTO ?', 'ANALYZE patient', 'CREATE TABLE a (n)', 'selected'])(
  'has %p read each time, as it is asked rarely',
  (sql) => {
    const { read, kept } = connection();
    kept.prepared(sql);
    kept.prepared(sql);
    expect(read).toEqual([sql, sql]);
  },
);

it('tells columns of what answers rows, and none of what does not', () => {
  const { kept, raw, safeIntegers } = connection();
  const none = kept.prepared('INSERT INTO a VALUES (1)');
  expect([none.columns, none.types]).toEqual([null, []]);
  expect(raw).not.toHaveBeenCalled();
  const rows = kept.prepared('SELECT 1');
  expect([rows.columns, rows.types]).toEqual([
    ['n', 'm'],
    ['INTEGER', ''],
  ]);
  expect(raw.mock.calls).toEqual([[true]]);
  expect(safeIntegers.mock.calls).toEqual([[true], [true]]);
});

it('reads anew what it was to forget', () => {
  const { read, kept } = connection();
  for (const sql of ['SELECT 1', 'SELECT 2']) kept.prepared(sql);
  kept.forget('SELECT 1');
  for (const sql of ['SELECT 1', 'SELECT 2']) kept.prepared(sql);
  expect(read).toEqual(['SELECT 1', 'SELECT 2', 'SELECT 1']);
  kept.forgetAll();
  kept.prepared('SELECT 2');
  expect(read).toHaveLength(4);
});

it('keeps six hundred, and lets the one go that was not asked for the longest', () => {
  const { read, kept } = connection();
  for (let at = 0; at < 600; at += 1) kept.prepared(`SELECT ${at}`);
  kept.prepared('SELECT 0');
  expect(read).toHaveLength(600);
  kept.prepared('SELECT 600');
  kept.prepared('SELECT 0');
  kept.prepared('SELECT 2');
  expect(read).toHaveLength(601);
  kept.prepared('SELECT 1');
  expect(read.slice(-2)).toEqual(['SELECT 600', 'SELECT 1']);
});
