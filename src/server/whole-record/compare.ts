import { type RecordFile, type RecordRows, type RecordTable, keyOf, rowInFile } from '@/db';
import { RECORD_TABLE_NAMES } from '@/db';
import { canonical } from '../canonical';

/** Rows of a table, told apart by what is here already. */
export type Compared = {
  readonly table: RecordTable;
  readonly fresh: readonly Readonly<Record<string, unknown>>[];
  readonly same: number;
  /** Rows that stand here with other content. */
  readonly differ: number;
};

/** What one clinic decides for itself, and is no difference. */
const OWN: ReadonlySet<string> = new Set(['practitionerId']);

/** What a record's file holds beside what the clinic has: by table, in the order of writing. */
export function compareRecord(file: RecordFile, here: RecordRows): Compared[] {
  return RECORD_TABLE_NAMES.map((table) => {
    const key = keyOf(table);
    const text = (row: Readonly<Record<string, unknown>>) =>
      canonical(
        Object.fromEntries(
          // A field that is left out and one that is undefined are the same in a file.
          Object.entries(JSON.parse(JSON.stringify(row)) as object).filter(
            ([name]) => table !== 'patient' || !OWN.has(name),
          ),
        ),
      );
    const there = new Map(
      (here[table] as Record<string, unknown>[])
        .map((row) => rowInFile(table, row))
        .map((row) => [key(row), text(row)]),
    );
    const fresh: Readonly<Record<string, unknown>>[] = [];
    let same = 0;
    let differ = 0;
    for (const row of file.tables[table]) {
      const known = there.get(key(row));
      if (known === undefined) fresh.push(row);
      else if (known === text(row)) same += 1;
      else differ += 1;
    }
    return { table, fresh, same, differ };
  });
}
