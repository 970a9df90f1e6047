import { LIST_BOUNDS } from '../bounds';
import type { Instant } from '@/core/schedule';
import { and, asc, desc, eq, isNotNull, isNull, sql } from 'drizzle-orm';
import type { LocalDate, ClinicId, MemberId, PatientId, PhotoId } from '@/core/units';
import { among } from '../among';
import { type Statement, builder, checkpoint, read, readOne } from '../door';
import { photo, photoBytes, photoMarking } from '../schema';
import { type Placed, placed } from './place';

export type PhotoRow = typeof photo.$inferSelect;
export type MarkingRow = typeof photoMarking.$inferSelect;

const standing = (clinicId: ClinicId, patientId: PatientId) =>
  and(eq(photo.clinicId, clinicId), eq(photo.patientId, patientId), isNull(photo.deletedAt));

/** A patient's photos from the side that still have their bytes, newest first. */
export function photosOf(clinicId: ClinicId, patientId: PatientId): Promise<PhotoRow[]> {
  return read((db) =>
    db
      .select()
      .from(photo)
      .where(and(standing(clinicId, patientId), isNull(photo.lineage)))
      .orderBy(desc(photo.takenOn), desc(photo.createdAt))
      .limit(LIST_BOUNDS.photos),
  );
}

/** Photos of a set-up, each with its line. */
export type SetUpPhotoRow = PhotoRow & { readonly lineage: string };

/** A patient's photos of their set-ups that still have their bytes, in the order they were taken. */
export async function setUpPhotosOf(
  clinicId: ClinicId,
  patientId: PatientId,
): Promise<SetUpPhotoRow[]> {
  const rows = await read((db) =>
    db
      .select()
      .from(photo)
      .where(and(standing(clinicId, patientId), isNotNull(photo.lineage)))
      .orderBy(asc(photo.createdAt), asc(sql`rowid`))
      .limit(LIST_BOUNDS.setUpPhotos),
  );
  return rows.flatMap((row) => (row.lineage === null ? [] : [{ ...row, lineage: row.lineage }]));
}

/** A guard's condition: the line has fewer photos of its set-up than it may have. */
export function hasRoomForSetUp(
  clinicId: ClinicId,
  patientId: PatientId,
  lineage: string,
  most: number,
) {
  return sql`SELECT count(*) < ${most} FROM ${photo} WHERE ${standing(clinicId, patientId)}
    AND ${photo.lineage} = ${lineage}`;
}

/** A photo of the clinic, deleted or not; null when there is none. */
export async function photoById(clinicId: ClinicId, id: string): Promise<PhotoRow | null> {
  return readOne((db) =>
    db
      .select()
      .from(photo)
      .where(and(eq(photo.clinicId, clinicId), eq(photo.id, id))),
  );
}

/** A photo's picture; null once it was deleted. */
export async function photoBytesOf(clinicId: ClinicId, photoId: PhotoId): Promise<Buffer | null> {
  const row = await readOne((db) =>
    db
      .select({ bytes: photoBytes.bytes })
      .from(photoBytes)
      .where(and(eq(photoBytes.clinicId, clinicId), eq(photoBytes.photoId, photoId))),
  );
  return row?.bytes ?? null;
}

export function insertPhoto(row: Placed<PhotoRow>, bytes: Buffer): Statement[] {
  return [
    ...placed(row, row.takenOn, (columns) =>
      builder()
        .insert(photo)
        .values({ ...row, ...columns }),
    ),
    builder().insert(photoBytes).values({ clinicId: row.clinicId, photoId: row.id, bytes }),
  ];
}

/**
 * Deletes a picture for good and leaves a tombstone. The bytes are overwritten with zeros before
 * the row goes, because a deleted row's pages keep their content until they are used again.
 */
export function deletePhoto(clinicId: ClinicId, id: string, by: string, at: Instant): Statement[] {
  const its = and(eq(photoBytes.clinicId, clinicId), eq(photoBytes.photoId, id));
  return [
    builder()
      .update(photoBytes)
      .set({ bytes: sql`zeroblob(length(${photoBytes.bytes}))` })
      .where(its),
    builder().delete(photoBytes).where(its),
    builder()
      .update(photo)
      .set({ deletedBy: by, deletedAt: at })
      .where(and(eq(photo.clinicId, clinicId), eq(photo.id, id), isNull(photo.deletedAt))),
  ];
}

/** After a deletion: the journal still holds the picture until it is folded in and cut. */
export const forgetDeleted = checkpoint;

export function insertMarking(row: Placed<MarkingRow>, on: LocalDate): Statement[] {
  return placed(row, on, (columns) =>
    builder()
      .insert(photoMarking)
      .values({ ...row, ...columns }),
  );
}

/** The markings of these photos, oldest first. */
export function markingsOf(clinicId: ClinicId, photoIds: readonly string[]): Promise<MarkingRow[]> {
  if (photoIds.length === 0) return Promise.resolve([]);
  return read((db) =>
    db
      .select()
      .from(photoMarking)
      .where(and(eq(photoMarking.clinicId, clinicId), among(photoMarking.photoId, photoIds)))
      .orderBy(asc(photoMarking.createdAt), asc(sql`rowid`))
      .limit(LIST_BOUNDS.markings),
  );
}

/** A member's own markings, newest first: for their own error. */
export function markingsBy(clinicId: ClinicId, authorId: MemberId): Promise<MarkingRow[]> {
  return read((db) =>
    db
      .select()
      .from(photoMarking)
      .where(and(eq(photoMarking.clinicId, clinicId), eq(photoMarking.authorId, authorId)))
      .orderBy(desc(photoMarking.createdAt))
      .limit(LIST_BOUNDS.markings),
  );
}
