import { eq, sql } from 'drizzle-orm';
import { type Statement, builder, read } from './door';
import { clinic } from './schema';

export type Clinic = typeof clinic.$inferSelect;

export async function clinicById(id: string): Promise<Clinic | null> {
  const rows = await read((db) => db.select().from(clinic).where(eq(clinic.id, id)).limit(1));
  return rows[0] ?? null;
}

export async function anyClinic(): Promise<boolean> {
  const rows = await read((db) => db.select({ id: clinic.id }).from(clinic).limit(1));
  return rows.length > 0;
}

/** A guard's condition: the database has no clinic yet. */
export const noClinicYet = sql`SELECT count(*) = 0 FROM ${clinic}`;

export function insertClinic(row: Clinic): Statement {
  return builder().insert(clinic).values(row);
}

export function updateClinic(
  id: string,
  row: Partial<Omit<Clinic, 'id' | 'createdAt'>>,
): Statement {
  return builder().update(clinic).set(row).where(eq(clinic.id, id));
}
