import { LIST_BOUNDS } from '../bounds';
import { and, asc, eq, inArray, sql } from 'drizzle-orm';
import type { HomeBody, NextVisitBody } from '@/core/records';
import type { ClinicId } from '@/core/units';
import { read } from '../door';
import { readBody } from '../visit/entries';
import { episode, patientLink, screening, fileEntry, teachBack } from '../schema';

/** The newest confirmed screening of each of these patients. */
export async function newestConfirmedOf(clinicId: ClinicId, patientIds: readonly string[]) {
  const rows = await read((db) =>
    db
      .select({
        patientId: screening.patientId,
        localDate: screening.localDate,
        precautions: screening.precautions,
      })
      .from(screening)
      .where(
        and(
          eq(screening.clinicId, clinicId),
          inArray(screening.patientId, [...patientIds]),
          sql`${screening.confirmedBy} IS NOT NULL`,
        ),
      )
      .orderBy(asc(screening.createdAt), asc(sql`rowid`))
      .limit(LIST_BOUNDS.newestOfEach),
  );
  return new Map(rows.map((row) => [row.patientId, row]));
}

/** The home that counts of each of these patients. */
export async function homesOf(
  clinicId: ClinicId,
  patientIds: readonly string[],
): Promise<Map<string, HomeBody>> {
  const rows = await read((db) =>
    db
      .select({ patientId: fileEntry.patientId, id: fileEntry.id, body: fileEntry.body })
      .from(fileEntry)
      .where(
        and(
          eq(fileEntry.clinicId, clinicId),
          inArray(fileEntry.patientId, [...patientIds]),
          eq(fileEntry.kind, 'home'),
          sql`${fileEntry.body} IS NOT NULL`,
        ),
      )
      .orderBy(asc(fileEntry.createdAt), asc(sql`rowid`))
      .limit(LIST_BOUNDS.newestOfEach),
  );
  const newest = new Map(rows.map((row) => [row.patientId, row]));
  return new Map(
    [...newest].map(([patientId, { id, body }]) => [patientId, readBody('home', body ?? '', id)]),
  );
}

/** When each of these patients comes next, as it was written last and not taken out again. */
export async function nextVisitsOf(
  clinicId: ClinicId,
  patientIds: readonly string[],
): Promise<ReadonlyMap<string, NextVisitBody>> {
  const rows = await read((db) =>
    db
      .select({ patientId: fileEntry.patientId, id: fileEntry.id, body: fileEntry.body })
      .from(fileEntry)
      .where(
        and(
          eq(fileEntry.clinicId, clinicId),
          inArray(fileEntry.patientId, [...patientIds]),
          eq(fileEntry.kind, 'next-visit'),
          sql`${fileEntry.body} IS NOT NULL`,
          sql`NOT EXISTS (SELECT 1 FROM file_entry AS later
            WHERE later.clinic_id = file_entry.clinic_id AND later.supersedes = file_entry.id)`,
        ),
      )
      .orderBy(asc(fileEntry.createdAt), asc(sql`rowid`))
      .limit(LIST_BOUNDS.newestOfEach),
  );
  const newest = new Map(rows.map((row) => [row.patientId, row]));
  return new Map(
    [...newest].map(([patientId, { id, body }]) => [
      patientId,
      readBody('next-visit', body ?? '', id),
    ]),
  );
}

/** The newest teaching of each of these patients. */
export async function newestTeachingsOf(clinicId: ClinicId, patientIds: readonly string[]) {
  const rows = await read((db) =>
    db
      .select({ patientId: teachBack.patientId, body: teachBack.body })
      .from(teachBack)
      .where(and(eq(teachBack.clinicId, clinicId), inArray(teachBack.patientId, [...patientIds])))
      .orderBy(asc(teachBack.createdAt))
      .limit(LIST_BOUNDS.newestOfEach),
  );
  return new Map(rows.map((row) => [row.patientId, row.body]));
}

/** The newest link of each of these patients. */
export async function newestLinksOf(clinicId: ClinicId, patientIds: readonly string[]) {
  const rows = await read((db) =>
    db
      .select()
      .from(patientLink)
      .where(
        and(eq(patientLink.clinicId, clinicId), inArray(patientLink.patientId, [...patientIds])),
      )
      .orderBy(asc(patientLink.createdAt))
      .limit(LIST_BOUNDS.newestOfEach),
  );
  return new Map(rows.map((row) => [row.patientId, row]));
}

/** Each of these patients' newest episode. */
export async function newestEpisodesOf(clinicId: ClinicId, patientIds: readonly string[]) {
  const rows = await read((db) =>
    db
      .select()
      .from(episode)
      .where(and(eq(episode.clinicId, clinicId), inArray(episode.patientId, [...patientIds])))
      .orderBy(asc(episode.openedOn), asc(sql`rowid`))
      .limit(LIST_BOUNDS.newestOfEach),
  );
  return new Map(rows.map((row) => [row.patientId, row]));
}
