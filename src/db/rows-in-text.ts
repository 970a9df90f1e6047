import {
  type Column,
  type InferSelectModel,
  type SQL,
  type Table,
  getTableColumns,
  sql,
} from 'drizzle-orm';

/** Columns whose values a text of JSON tells as they are: it would round a broken number, and knows no bytes. */
const TOLD = new Set(['SQLiteText', 'SQLiteInteger', 'SQLiteCustomColumn']);

/**
 * The rows of a table that belong to a row of another, as one text of JSON beside it: a text is read in a
 * fraction of the time that all its cells take one by one, and the other row's are not repeated for each.
 * Every cell is read as its column reads it, so that what does not fit is marked as anywhere else.
 *
 * @param belongs the condition, in which the table's own columns stand without its name
 * @returns the rows in no particular order
 * @throws for a table with a column of broken numbers or bytes
 */
export function rowsInText<T extends Table>(table: T, belongs: SQL): SQL<InferSelectModel<T>[]> {
  const columns = Object.entries<Column>(getTableColumns(table));
  for (const [name, { columnType }] of columns)
    if (!TOLD.has(columnType)) throw new Error(`${name} (${columnType}) cannot be told in JSON`);
  const names = columns.map(([, column]) => sql.identifier(column.name));
  const text = sql`(SELECT json_group_array(json_array(${sql.join(names, sql`, `)})) FROM ${table} WHERE ${belongs})`;
  return text.mapWith((stored: string) =>
    (JSON.parse(stored) as unknown[][]).map((cells) => {
      const row: Record<string, unknown> = {};
      columns.forEach(([name, column], at) => {
        const cell = cells[at] ?? null;
        row[name] = cell === null ? null : column.mapFromDriverValue(cell);
      });
      return row as InferSelectModel<T>;
    }),
  );
}
