import { and, desc, eq, sql } from 'drizzle-orm';
import { type Statement, builder, read } from '../door';
import { finding } from '../schema';

export type FindingRow = typeof finding.$inferSelect;

/** The newest word on each of a patient's findings, newest first. */
export function findingsOf(clinicId: string, patientId: string): Promise<FindingRow[]> {
  return read((db) =>
    db
      .select()
      .from(finding)
      .where(
        and(
          eq(finding.clinicId, clinicId),
          eq(finding.patientId, patientId),
          sql`NOT EXISTS (SELECT 1 FROM finding AS later WHERE later.clinic_id = finding.clinic_id
            AND later.patient_id = finding.patient_id AND later.key = finding.key
            AND (later.created_at, later.rowid) > (finding.created_at, finding.rowid))`,
        ),
      )
      .orderBy(desc(finding.createdAt), desc(sql`rowid`))
      .limit(300),
  );
}

export function insertFinding(row: FindingRow): Statement {
  return builder().insert(finding).values(row);
}
