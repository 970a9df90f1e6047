import { and, asc, desc, eq, inArray, isNotNull, isNull, or, sql } from 'drizzle-orm';
import type { Instant } from '@/core/schedule';
import type { ClinicId, EpisodeId, LocalDate, MemberId, PatientId } from '@/core/units';
import { LIST_BOUNDS } from './bounds';
import { type OfPatients, aboutThese, ofPatients } from './among';
import { type Statement, builder, prepared, read, readOne } from './door';
import type { Patient } from './patients';
import { episode, patient, patientDetails } from './schema';

export type DetailsRow = typeof patientDetails.$inferSelect;
export type Episode = typeof episode.$inferSelect;

export function detailsOf(clinicId: ClinicId, patientId: string): Promise<DetailsRow | null> {
  return readOne((db) =>
    db
      .select()
      .from(patientDetails)
      .where(
        and(
          eq(patientDetails.clinicId, clinicId),
          eq(patientDetails.patientId, patientId as PatientId),
        ),
      ),
  );
}

/** The details of some patients, by patient. */
export async function detailsOfMany(
  clinicId: ClinicId,
  ids: readonly PatientId[],
): Promise<ReadonlyMap<PatientId, DetailsRow['body']>> {
  if (ids.length === 0) return new Map();
  const rows = await details(ofPatients(clinicId, ids));
  return new Map(rows.map(({ patientId, body }) => [patientId, body]));
}

const details = prepared<OfPatients, DetailsRow>((db) =>
  db
    .select()
    .from(patientDetails)
    .where(aboutThese(patientDetails))
    .limit(LIST_BOUNDS.idsAtOnce)
    .prepare(),
);

export function putDetails(row: DetailsRow): Statement {
  return builder()
    .insert(patientDetails)
    .values(row)
    .onConflictDoUpdate({
      target: [patientDetails.clinicId, patientDetails.patientId],
      set: { body: row.body, updatedAt: row.updatedAt, authorId: row.authorId },
    });
}

/** A guard's condition: nobody has written other details since; 0 where there were none. */
export function detailsUnchanged(clinicId: ClinicId, patientId: PatientId, basedOn: number) {
  return sql`SELECT coalesce((SELECT d.updated_at FROM patient_details AS d
    WHERE d.clinic_id = ${clinicId} AND d.patient_id = ${patientId}), 0) = ${basedOn}`;
}

export function setSearch(clinicId: ClinicId, id: PatientId, search: string): Statement {
  return builder()
    .update(patient)
    .set({ search })
    .where(and(eq(patient.clinicId, clinicId), eq(patient.id, id)));
}

/** Patients of any clinic that are not found by anything yet: of before there was a search. */
export function patientsWithoutSearch(limit: number): Promise<Patient[]> {
  return read((db) => db.select().from(patient).where(eq(patient.search, '')).limit(limit));
}

const pattern = (word: string) => `%${word.replace(/[\\%_]/g, (c) => `\\${c}`)}%`;

/** Which patients hold every word of what was typed; of the table as it stands in the question. */
export function holdsWords(words: readonly string[]) {
  return and(...words.map((word) => sql`${patient.search} LIKE ${pattern(word)} ESCAPE '\\'`));
}

/**
 * The first patients that hold every word, those who are looked after first, by name.
 *
 * @param practitioners whose patients; null for everybody's
 * @returns nobody where there are no words
 */
export function patientsHolding(
  clinicId: ClinicId,
  words: readonly string[],
  practitioners: readonly MemberId[] | null,
  which: 'all' | 'looked after',
): Promise<Patient[]> {
  if (words.length === 0) return Promise.resolve([]);
  return read((db) =>
    db
      .select()
      .from(patient)
      .where(
        and(
          eq(patient.clinicId, clinicId),
          practitioners === null ? undefined : inArray(patient.practitionerId, [...practitioners]),
          which === 'all' ? undefined : isNull(patient.archivedAt),
          holdsWords(words),
        ),
      )
      .orderBy(sql`${patient.archivedAt} IS NOT NULL`, asc(patient.name), asc(patient.id))
      .limit(LIST_BOUNDS.patientsFound),
  );
}

/** Patients of the same birth date, or whose text holds every word of a name. */
export function patientsLike(
  clinicId: ClinicId,
  words: readonly string[],
  birthDate: LocalDate | null,
): Promise<Patient[]> {
  return read((db) =>
    db
      .select()
      .from(patient)
      .where(
        and(
          eq(patient.clinicId, clinicId),
          or(
            words.length === 0 ? undefined : holdsWords(words),
            birthDate === null ? undefined : eq(patient.birthDate, birthDate),
          ),
        ),
      )
      .orderBy(asc(patient.name), asc(patient.id))
      .limit(LIST_BOUNDS.patientsAlike),
  );
}

export function setArchived(clinicId: ClinicId, id: PatientId, at: Instant | null): Statement {
  return builder()
    .update(patient)
    .set({ archivedAt: at })
    .where(
      and(
        eq(patient.clinicId, clinicId),
        eq(patient.id, id),
        at === null ? isNotNull(patient.archivedAt) : isNull(patient.archivedAt),
      ),
    );
}

/** A guard's condition: no alert of the patient is open. */
export function noOpenAlert(clinicId: ClinicId, id: PatientId) {
  return sql`SELECT count(*) = 0 FROM alert AS a WHERE a.clinic_id = ${clinicId}
    AND a.patient_id = ${id} AND a.acknowledged_at IS NULL`;
}

/** All episodes of a patient, the newest first. */
const episodesOfPatient = prepared<{ clinicId: ClinicId; patientId: PatientId }, Episode>((db) =>
  db
    .select()
    .from(episode)
    .where(
      and(
        eq(episode.clinicId, sql.placeholder('clinicId')),
        eq(episode.patientId, sql.placeholder('patientId')),
      ),
    )
    .orderBy(desc(episode.openedOn), desc(sql`rowid`))
    .limit(LIST_BOUNDS.episodes)
    .prepare(),
);

export function episodesOf(clinicId: ClinicId, patientId: PatientId): Promise<Episode[]> {
  return episodesOfPatient({ clinicId, patientId });
}

export function setComplaint(
  clinicId: ClinicId,
  id: EpisodeId,
  about: Pick<Episode, 'complaint' | 'area'>,
): Statement {
  return builder()
    .update(episode)
    .set(about)
    .where(and(eq(episode.clinicId, clinicId), eq(episode.id, id)));
}
