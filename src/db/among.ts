import { type Column, type Placeholder, type SQL, and, eq, sql } from 'drizzle-orm';

/**
 * A column's value is one of these. They go to the database as one value: with one for each the text of a
 * question about fifty patients takes longer to build than the question to answer.
 *
 * @param values or the place of what `listed` makes of them, where the question is prepared
 */
export function among(column: Column, values: readonly string[] | Placeholder): SQL {
  const list = Array.isArray(values) ? listed(values as readonly string[]) : values;
  return sql`${column} IN (SELECT value FROM json_each(${list}))`;
}

/** Values as one, for a question that is prepared. */
export const listed = (values: readonly string[]): string => JSON.stringify(values);

/** The patients that a prepared question is about. */
export type OfPatients = { readonly clinicId: string; readonly ids: string };

export const ofPatients = (clinicId: string, ids: readonly string[]): OfPatients => ({
  clinicId,
  ids: listed(ids),
});

/** The rows of a table that a prepared question about `OfPatients` is answered from. */
export const aboutThese = (columns: { readonly clinicId: Column; readonly patientId: Column }) =>
  and(
    eq(columns.clinicId, sql.placeholder('clinicId')),
    among(columns.patientId, sql.placeholder('ids')),
  );
