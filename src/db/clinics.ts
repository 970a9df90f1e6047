import { LIST_BOUNDS } from './bounds';
import { eq, sql } from 'drizzle-orm';
import { type Statement, builder, prepared, read, readOne } from './door';
import { clinic } from './schema';

export type Clinic = typeof clinic.$inferSelect;

const byId = prepared<{ id: string }, Clinic>((db) =>
  db
    .select()
    .from(clinic)
    .where(eq(clinic.id, sql.placeholder('id')))
    .limit(1)
    .prepare(),
);

export async function clinicById(id: string): Promise<Clinic | null> {
  const [found] = await byId({ id });
  return found ?? null;
}

/** Every clinic of this server, by id. */
export async function clinicIds(): Promise<string[]> {
  const rows = await read((db) =>
    db.select({ id: clinic.id }).from(clinic).limit(LIST_BOUNDS.clinics),
  );
  return rows.map(({ id }) => id);
}

export async function anyClinic(): Promise<boolean> {
  const row = await readOne((db) => db.select({ id: clinic.id }).from(clinic));
  return row !== null;
}

/** A guard's condition: the database has no clinic yet. */
export const noClinicYet = sql`SELECT count(*) = 0 FROM ${clinic}`;

export function insertClinic(row: typeof clinic.$inferInsert): Statement {
  return builder().insert(clinic).values(row);
}

export function updateClinic(
  id: string,
  row: Partial<Omit<Clinic, 'id' | 'createdAt'>>,
): Statement {
  return builder().update(clinic).set(row).where(eq(clinic.id, id));
}

/** Sets one kind's own detectable change, or clears it, leaving the others as they are. */
export function setDetectableChange(id: string, kind: string, own: object | null): Statement {
  const path = `$."${kind}"`;
  return builder()
    .update(clinic)
    .set({
      detectableChanges:
        own === null
          ? sql`json_remove(${clinic.detectableChanges}, ${path})`
          : sql`json_set(${clinic.detectableChanges}, ${path}, json(${JSON.stringify(own)}))`,
    })
    .where(eq(clinic.id, id));
}
