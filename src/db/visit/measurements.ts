import { LIST_BOUNDS } from '../bounds';
import { and, desc, eq, inArray, isNotNull, sql } from 'drizzle-orm';
import type { MeasureKindId } from '@/core/measures';
import type { ClinicId, PatientId } from '@/core/units';
import { type Statement, builder, read, readOne } from '../door';
import { measurement } from '../schema';
import { type Placed, placed } from './place';

export type MeasurementRow = typeof measurement.$inferSelect;

/** The most measurements read of one patient: years of visits. */

const notSuperseded = sql`NOT EXISTS (SELECT 1 FROM measurement AS later
  WHERE later.clinic_id = measurement.clinic_id AND later.supersedes = measurement.id)`;

/** A patient's measurements that count now, newest first. */
export function measurementsOf(
  clinicId: ClinicId,
  patientId: PatientId,
): Promise<MeasurementRow[]> {
  return read((db) =>
    db
      .select()
      .from(measurement)
      .where(
        and(
          eq(measurement.clinicId, clinicId),
          eq(measurement.patientId, patientId),
          isNotNull(measurement.details),
          notSuperseded,
        ),
      )
      .orderBy(desc(measurement.localDate), desc(measurement.createdAt), desc(sql`rowid`))
      .limit(LIST_BOUNDS.measurements),
  );
}

/** What follows from some kinds of measurement of several patients. */
export type KindOfPatient = Pick<MeasurementRow, 'patientId' | 'kind' | 'localDate' | 'details'>;

/** The measurements of some kinds of some patients that count now, newest first. */
export function measurementsOfKinds(
  clinicId: ClinicId,
  patientIds: readonly string[],
  kinds: readonly MeasureKindId[],
): Promise<KindOfPatient[]> {
  return read((db) =>
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
          eq(measurement.clinicId, clinicId),
          inArray(measurement.patientId, [...patientIds]),
          inArray(measurement.kind, [...kinds]),
          isNotNull(measurement.details),
          notSuperseded,
        ),
      )
      .orderBy(desc(measurement.localDate), desc(measurement.createdAt))
      .limit(LIST_BOUNDS.measurementsTogether),
  );
}

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

export function insertMeasurement(row: Placed<MeasurementRow>): Statement[] {
  return placed(row, row.localDate, (columns) =>
    builder()
      .insert(measurement)
      .values({ ...row, ...columns }),
  );
}
