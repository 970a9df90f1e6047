import { getTableColumns } from 'drizzle-orm';
import type { SQLiteColumn } from 'drizzle-orm/sqlite-core';
import { z } from 'zod';
import { FILE_BODIES, type FileEntryKind } from '@/core/records';
import { schemaOfColumn } from '../schema/columns';
import { RECORD_TABLES, type RecordTable } from './tables';

/**
 * What a row of a table is, as the file of a whole record holds it: the columns under the names the code
 * has for them, values of JSON as values, no clinic (the file is of one, and taken into another).
 * Unknown columns are refused: a file of a later release is not read in part.
 */
export function rowSchema(table: RecordTable): z.ZodType<Record<string, unknown>> {
  const columns: Record<string, SQLiteColumn> = getTableColumns(RECORD_TABLES[table]);
  const shape = Object.fromEntries(
    Object.entries(columns)
      .filter(([name]) => !LEFT_OUT.has(name))
      .map(([name, column]) => {
        const value = name === 'body' && table === 'fileEntry' ? z.unknown() : valueOf(column);
        // What may be null may be left out: a file of before a column was there is read as one without it.
        return [name, column.notNull ? value : value.nullable().default(null)];
      }),
  );
  const row = z.strictObject(shape);
  if (table !== 'fileEntry') return row;
  return row.refine(
    ({ kind, body }) => body === null || FILE_BODIES[kind as FileEntryKind].safeParse(body).success,
    { message: 'The entry is not what its kind promises.', path: ['body'] },
  );
}

/** The clinic is that of the file; what a patient is found by is made anew where they are taken in. */
export const LEFT_OUT: ReadonlySet<string> = new Set(['clinicId', 'search']);

/** Longest text of a plain column, in characters. */
const LONGEST_TEXT = 200_000;

function valueOf(column: SQLiteColumn): z.ZodType {
  const ofJson = schemaOfColumn(column);
  if (ofJson) return ofJson;
  if (column.enumValues && column.enumValues.length > 0)
    return z.enum(column.enumValues as [string, ...string[]]);
  switch (column.dataType) {
    case 'string':
      return z.string().max(LONGEST_TEXT);
    case 'boolean':
      return z.boolean();
    case 'number':
      return column.columnType === 'SQLiteInteger' ? z.int() : z.number();
    default:
      throw new Error(`No value of a record's file is of ${column.columnType}.`);
  }
}
