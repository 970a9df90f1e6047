import { getTableName, is, sql } from 'drizzle-orm';
import { SQLiteTable } from 'drizzle-orm/sqlite-core';
import { read } from './door';
import * as schema from './schema';
import { Unreadable } from './unreadable';

/** Rows read at once. */
const PAGE = 500;

/** Every table of the schema. */
const TABLES: readonly SQLiteTable[] = Object.values(schema).flatMap((one) =>
  is(one, SQLiteTable) ? [one] : [],
);

/**
 * Reads every row of every table as the application reads it, so that what would be unreadable on some
 * page is named now.
 *
 * @param tell is told of each row that cannot be read
 * @returns how many rows were read
 */
export async function readEveryRow(tell: (table: string, say: string) => void): Promise<number> {
  let count = 0;
  for (const table of TABLES) {
    const name = getTableName(table);
    for (let after = -1; ;) {
      const ids = await read((db) =>
        db
          .select({ row: sql<number>`rowid` })
          .from(table)
          .where(sql`rowid > ${after}`)
          .orderBy(sql`rowid`)
          .limit(PAGE),
      );
      const last = ids.at(-1)?.row;
      if (last === undefined) break;
      count += await readPage(table, after, last, (say) => tell(name, say));
      after = last;
    }
  }
  return count;
}

/** Reads the rows of a page at once, or one by one where one of them cannot be read. */
async function readPage(
  table: SQLiteTable,
  after: number,
  upTo: number,
  tell: (say: string) => void,
): Promise<number> {
  try {
    const rows = await read((db) =>
      db
        .select()
        .from(table)
        .where(sql`rowid > ${after} AND rowid <= ${upTo}`),
    );
    return rows.length;
  } catch (error) {
    if (!(error instanceof Unreadable)) throw error;
    if (upTo - after <= 1) {
      tell(error.say);
      return 1;
    }
    const middle = Math.floor((after + upTo) / 2);
    return (
      (await readPage(table, after, middle, tell)) + (await readPage(table, middle, upTo, tell))
    );
  }
}
