import { LIST_BOUNDS } from '../bounds';
import { and, desc, eq, isNotNull, sql } from 'drizzle-orm';
import type { MeasureKindId } from '@/core/measures';
import type { ClinicId, PatientId } from '@/core/units';
import { type OfPatients, aboutThese, among, listed, ofPatients } from '../among';
import { type Statement, builder, prepared, read, readOne } from '../door';
import { measurement } from '../schema';
import { type Placed, episodeOf, placed } from './place';

export type MeasurementRow = typeof measurement.$inferSelect;

/** The most measurements read of one patient: years of visits. */

const notSuperseded = sql`NOT EXISTS (SELECT 1 FROM measurement AS later
  WHERE later.clinic_id = measurement.clinic_id AND later.supersedes = measurement.id)`;

/** A patient's measurements that count now, newest first. */
export function measurementsOf(
  clinicId: ClinicId,
  patientId: PatientId,
): Promise<MeasurementRow[]> {
  return ofPatient({ clinicId, patientId });
}

const ofPatient = prepared<
  { readonly clinicId: ClinicId; readonly patientId: PatientId },
  MeasurementRow
>((db) =>
  db
    .select()
    .from(measurement)
    .where(
      and(
        eq(measurement.clinicId, sql.placeholder('clinicId')),
        eq(measurement.patientId, sql.placeholder('patientId')),
        isNotNull(measurement.details),
        notSuperseded,
      ),
    )
    .orderBy(desc(measurement.localDate), desc(measurement.createdAt), desc(sql`rowid`))
    .limit(LIST_BOUNDS.measurements)
    .prepare(),
);

/** What follows from some kinds of measurement of several patients. */
export type KindOfPatient = Pick<MeasurementRow, 'patientId' | 'kind' | 'localDate' | 'details'>;

/** The measurements of some kinds of some patients that count now, newest first. */
export function measurementsOfKinds(
  clinicId: ClinicId,
  patientIds: readonly string[],
  kinds: readonly MeasureKindId[],
): Promise<KindOfPatient[]> {
  return ofKinds({ ...ofPatients(clinicId, patientIds), kinds: listed(kinds) });
}

const ofKinds = prepared<OfPatients & { readonly kinds: string }, KindOfPatient>((db) =>
  db
    .select({
      patientId: measurement.patientId,
      kind: measurement.kind,
      localDate: measurement.localDate,
      details: measurement.details,
    })
    .from(measurement)
    .where(
      and(
        aboutThese(measurement),
        among(measurement.kind, sql.placeholder('kinds')),
        isNotNull(measurement.details),
        notSuperseded,
      ),
    )
    .orderBy(desc(measurement.localDate), desc(measurement.createdAt))
    .limit(LIST_BOUNDS.measurementsTogether)
    .prepare(),
);

export async function measurementById(
  clinicId: ClinicId,
  id: string,
): Promise<MeasurementRow | null> {
  return readOne((db) =>
    db
      .select()
      .from(measurement)
      .where(and(eq(measurement.clinicId, clinicId), eq(measurement.id, id))),
  );
}

/** These measurements, also those that were corrected or taken out. */
export async function measurementsById(
  clinicId: ClinicId,
  ids: readonly string[],
): Promise<MeasurementRow[]> {
  const found: MeasurementRow[] = [];
  for (let from = 0; from < ids.length; from += LIST_BOUNDS.idsAtOnce) {
    const some = ids.slice(from, from + LIST_BOUNDS.idsAtOnce);
    const rows = await read((db) =>
      db
        .select()
        .from(measurement)
        .where(and(eq(measurement.clinicId, clinicId), among(measurement.id, some))),
    );
    found.push(...rows);
  }
  return found;
}

/** One that another system measured: it belongs to the episode, and to no visit of this clinic. */
export function insertForeignMeasurement(row: Placed<MeasurementRow>): Statement {
  return builder()
    .insert(measurement)
    .values({ ...row, episodeId: episodeOf(row), visitId: null })
    .onConflictDoNothing();
}

export function insertMeasurement(row: Placed<MeasurementRow>): Statement[] {
  return placed(row, row.localDate, (columns) =>
    builder()
      .insert(measurement)
      .values({ ...row, ...columns }),
  );
}
