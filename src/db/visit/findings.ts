import { LIST_BOUNDS } from '../bounds';
import { and, asc, desc, eq, gt, isNull, sql } from 'drizzle-orm';
import type { FindingAbout } from '@/core/findings';
import type { ClinicId, PatientId } from '@/core/units';
import { type Statement, builder, read } from '../door';
import { finding } from '../schema';
import { type Placed, placed } from './place';

type Stored = typeof finding.$inferSelect;
type AboutColumn = keyof FindingAbout;

/** A word on a finding; `about` is null in one from before its facts were kept. */
export type FindingRow = Omit<Stored, AboutColumn> & { readonly about: FindingAbout | null };

function rowOf({ rule, measure, side, direction, part, numbers, ...row }: Stored): FindingRow {
  return {
    ...row,
    about: rule === null ? null : { rule, measure, side, direction, part, numbers },
  };
}

/** The newest word on each of a patient's findings, newest first. */
export async function findingsOf(clinicId: ClinicId, patientId: PatientId): Promise<FindingRow[]> {
  const rows = await read((db) =>
    db
      .select()
      .from(finding)
      .where(and(eq(finding.clinicId, clinicId), eq(finding.patientId, patientId), isNewest))
      .orderBy(desc(finding.createdAt), desc(sql`rowid`))
      .limit(LIST_BOUNDS.findings),
  );
  return rows.map(rowOf);
}

const isNewest = sql`NOT EXISTS (SELECT 1 FROM finding AS later WHERE later.clinic_id = finding.clinic_id
  AND later.patient_id = finding.patient_id AND later.key = finding.key
  AND (later.created_at, later.rowid) > (finding.created_at, finding.rowid))`;

/** Newest words on findings whose facts were not kept yet, after this id, at most so many. */
export async function findingsWithoutFacts(after: string, most: number): Promise<FindingRow[]> {
  const rows = await read((db) =>
    db
      .select()
      .from(finding)
      .where(and(isNull(finding.rule), gt(finding.id, after), isNewest))
      .orderBy(asc(finding.id))
      .limit(most),
  );
  return rows.map(rowOf);
}

/** Adds a word on a finding. */
export function insertFinding(row: Placed<FindingRow>): Statement[] {
  const { about, ...rest } = row;
  return placed(rest, row.localDate, (columns) =>
    builder()
      .insert(finding)
      .values({ ...rest, ...about, ...columns }),
  );
}
