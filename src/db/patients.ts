import { and, asc, eq, inArray, isNull, sql } from 'drizzle-orm';
import { type Statement, builder, read } from './door';
import { alert, episode, patient } from './schema';

export type Patient = typeof patient.$inferSelect;
export type AlertKind = (typeof alert.$inferSelect)['kind'];

export async function patientById(clinicId: string, id: string): Promise<Patient | null> {
  const rows = await read((db) =>
    db
      .select()
      .from(patient)
      .where(and(eq(patient.clinicId, clinicId), eq(patient.id, id)))
      .limit(1),
  );
  return rows[0] ?? null;
}

export function insertPatient(row: Patient): Statement {
  return builder().insert(patient).values(row);
}

/** What a patient may set about their own day. */
export function setPatientDay(
  clinicId: string,
  id: string,
  day: Pick<Patient, 'minutesADay' | 'wakeMinute' | 'sleepMinute'>,
): Statement {
  return builder()
    .update(patient)
    .set(day)
    .where(and(eq(patient.clinicId, clinicId), eq(patient.id, id)));
}

export function insertEpisode(row: typeof episode.$inferInsert): Statement {
  return builder().insert(episode).values(row);
}

/** The open episode of a patient; null when all are closed. */
export async function openEpisodeOf(clinicId: string, patientId: string) {
  const rows = await read((db) =>
    db
      .select()
      .from(episode)
      .where(
        and(
          eq(episode.clinicId, clinicId),
          eq(episode.patientId, patientId),
          isNull(episode.closedOn),
        ),
      )
      .limit(1),
  );
  return rows[0] ?? null;
}

/** The most patients one page of the list holds. */
export const PATIENTS_A_PAGE = 50;

export type PatientListQuery = {
  readonly clinicId: string;
  /** Part of a name; empty for all. */
  readonly search: string;
  readonly page: number;
};

function matching({ clinicId, search }: Pick<PatientListQuery, 'clinicId' | 'search'>) {
  const pattern = `%${search.replace(/[\\%_]/g, (c) => `\\${c}`)}%`;
  const named = search === '' ? undefined : sql`${patient.name} LIKE ${pattern} ESCAPE '\\'`;
  return and(eq(patient.clinicId, clinicId), named);
}

/** Named by hand: within a select of one table the columns of an outer table lose their name. */
const openAlert = sql<number>`EXISTS (SELECT 1 FROM alert AS a WHERE a.clinic_id = patient.clinic_id
  AND a.patient_id = patient.id AND a.acknowledged_at IS NULL)`;
const newestComplaint = sql<string | null>`(SELECT e.complaint FROM episode AS e
  WHERE e.clinic_id = patient.clinic_id AND e.patient_id = patient.id
  ORDER BY e.opened_on DESC LIMIT 1)`;

/** One page of the clinic's patients, those with an open alert first, then by name. */
export function patientsOnPage(query: PatientListQuery) {
  return read((db) =>
    db
      .select({
        patient,
        alerted: openAlert,
        complaint: newestComplaint,
      })
      .from(patient)
      .where(matching(query))
      .orderBy(sql`${openAlert} DESC`, asc(patient.name), asc(patient.id))
      .limit(PATIENTS_A_PAGE)
      .offset((query.page - 1) * PATIENTS_A_PAGE),
  );
}

export async function countPatients(
  query: Pick<PatientListQuery, 'clinicId' | 'search'>,
): Promise<number> {
  const rows = await read((db) =>
    db
      .select({ n: sql<number>`count(*)` })
      .from(patient)
      .where(matching(query)),
  );
  return rows[0]?.n ?? 0;
}

/** Open alerts of these patients, oldest first. */
export function openAlertsOf(clinicId: string, patientIds: readonly string[]) {
  return read((db) =>
    db
      .select()
      .from(alert)
      .where(
        and(
          eq(alert.clinicId, clinicId),
          isNull(alert.acknowledgedAt),
          inArray(alert.patientId, [...patientIds]),
        ),
      )
      .orderBy(asc(alert.createdAt))
      .limit(500),
  );
}

export function acknowledgeAlert(clinicId: string, id: string, by: string, at: number): Statement {
  return builder()
    .update(alert)
    .set({ acknowledgedBy: by, acknowledgedAt: at })
    .where(and(eq(alert.clinicId, clinicId), eq(alert.id, id), isNull(alert.acknowledgedAt)));
}

/** An open alert of the clinic by id; null when there is none. */
export async function openAlertById(clinicId: string, id: string) {
  const rows = await read((db) =>
    db
      .select()
      .from(alert)
      .where(and(eq(alert.clinicId, clinicId), eq(alert.id, id), isNull(alert.acknowledgedAt)))
      .limit(1),
  );
  return rows[0] ?? null;
}
