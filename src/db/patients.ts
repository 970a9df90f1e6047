import { LIST_BOUNDS } from './bounds';
import type { Instant } from '@/core/schedule';
import { and, asc, eq, gt, isNull, sql } from 'drizzle-orm';
import type { ClinicId, PatientId } from '@/core/units';
import { type OfPatients, aboutThese, among, ofPatients } from './among';
import { type Statement, builder, prepared, read, readOne } from './door';
import { alert, episode, patient } from './schema';

export type Patient = typeof patient.$inferSelect;
export type AlertKind = (typeof alert.$inferSelect)['kind'];

const byId = prepared<{ clinicId: ClinicId; id: string }, Patient>((db) =>
  db
    .select()
    .from(patient)
    .where(
      and(eq(patient.clinicId, sql.placeholder('clinicId')), eq(patient.id, sql.placeholder('id'))),
    )
    .limit(1)
    .prepare(),
);

export async function patientById(clinicId: ClinicId, id: string): Promise<Patient | null> {
  const [found] = await byId({ clinicId, id });
  return found ?? null;
}

export function insertPatient(row: Patient): Statement {
  return builder().insert(patient).values(row);
}

/** What a patient may set about their own day. */
export function setPatientDay(
  clinicId: ClinicId,
  id: string,
  day: Pick<Patient, 'minutesADay' | 'wakeMinute' | 'sleepMinute' | 'language'>,
): Statement {
  return builder()
    .update(patient)
    .set(day)
    .where(and(eq(patient.clinicId, clinicId), eq(patient.id, id)));
}

export function setPatientLanguage(clinicId: ClinicId, id: string, language: string): Statement {
  return builder()
    .update(patient)
    .set({ language })
    .where(and(eq(patient.clinicId, clinicId), eq(patient.id, id)));
}

export function insertEpisode(row: typeof episode.$inferInsert): Statement {
  return builder().insert(episode).values(row);
}

/** Open alerts of these patients, oldest first. */
export function openAlertsOf(clinicId: ClinicId, patientIds: readonly string[]) {
  return read((db) =>
    db
      .select()
      .from(alert)
      .where(
        and(
          eq(alert.clinicId, clinicId),
          isNull(alert.acknowledgedAt),
          among(alert.patientId, patientIds),
        ),
      )
      .orderBy(asc(alert.createdAt))
      .limit(LIST_BOUNDS.openAlerts),
  );
}

export function acknowledgeAlert(
  clinicId: ClinicId,
  id: string,
  by: string,
  at: Instant,
): Statement {
  return builder()
    .update(alert)
    .set({ acknowledgedBy: by, acknowledgedAt: at })
    .where(and(eq(alert.clinicId, clinicId), eq(alert.id, id), isNull(alert.acknowledgedAt)));
}

/** An open alert of the clinic by id; null when there is none. */
export async function openAlertById(clinicId: ClinicId, id: string) {
  return readOne((db) =>
    db
      .select()
      .from(alert)
      .where(and(eq(alert.clinicId, clinicId), eq(alert.id, id), isNull(alert.acknowledgedAt))),
  );
}

/** The clinic's patients by id, so many after one; for work that goes through all of them. */
export function patientsAfter(clinicId: ClinicId, after: string, limit: number) {
  return read((db) =>
    db
      .select()
      .from(patient)
      .where(and(eq(patient.clinicId, clinicId), gt(patient.id, after as PatientId)))
      .orderBy(asc(patient.id))
      .limit(limit),
  );
}

/** Patients of the clinic by id. */
export async function patientsById(
  clinicId: ClinicId,
  ids: readonly PatientId[],
): Promise<Patient[]> {
  if (ids.length === 0) return [];
  return theseById(ofPatients(clinicId, ids));
}

const theseById = prepared<OfPatients, Patient>((db) =>
  db
    .select()
    .from(patient)
    .where(aboutThese({ clinicId: patient.clinicId, patientId: patient.id }))
    .limit(LIST_BOUNDS.idsAtOnce)
    .prepare(),
);

/** The names of these patients, by id. */
export async function patientNames(
  clinicId: ClinicId,
  ids: readonly string[],
): Promise<Map<string, string>> {
  const names = new Map<string, string>();
  for (let from = 0; from < ids.length; from += LIST_BOUNDS.idsAtOnce) {
    const some = ids.slice(from, from + LIST_BOUNDS.idsAtOnce) as PatientId[];
    const rows = await read((db) =>
      db
        .select({ id: patient.id, name: patient.name })
        .from(patient)
        .where(and(eq(patient.clinicId, clinicId), among(patient.id, some))),
    );
    for (const { id, name } of rows) names.set(id, name);
  }
  return names;
}
