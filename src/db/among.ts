import { type Column, type SQL, sql } from 'drizzle-orm';

/**
 * A column's value is one of these. They go to the database as one value: with one for each the text of a
 * question about fifty patients takes longer to build than the question to answer.
 */
export function among(column: Column, values: readonly string[]): SQL {
  return sql`${column} IN (SELECT value FROM json_each(${JSON.stringify(values)}))`;
}
