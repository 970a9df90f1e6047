import { LIST_BOUNDS } from '../bounds';
import { rollup } from 'd3';
import { and, asc, desc, eq, isNotNull, sql } from 'drizzle-orm';
import { BLOCKING_OUTCOMES } from '@/core/screen';
import type { LocalDate, ClinicId, PatientId } from '@/core/units';
import { among } from '../among';
import { type Statement, builder, read, readOne } from '../door';
import { referral, referralAnswer, screening, screeningDecision } from '../schema';
import { type Placed, placed } from './place';

export type ScreeningRow = typeof screening.$inferSelect;
export type ScreeningDecisionRow = typeof screeningDecision.$inferSelect;
export type ReferralRow = typeof referral.$inferSelect;
export type ReferralAnswerRow = typeof referralAnswer.$inferSelect;

/** The most screenings shown of one patient. */

/** A patient's screenings, newest first. */
export function screeningsOf(clinicId: ClinicId, patientId: PatientId): Promise<ScreeningRow[]> {
  return read((db) =>
    db
      .select()
      .from(screening)
      .where(and(eq(screening.clinicId, clinicId), eq(screening.patientId, patientId)))
      .orderBy(desc(screening.createdAt), desc(sql`rowid`))
      .limit(LIST_BOUNDS.screenings),
  );
}

/** The newest screening a practitioner stands behind, wherever in the list it is. */
export async function newestConfirmed(
  clinicId: ClinicId,
  patientId: PatientId,
): Promise<ScreeningRow | null> {
  return readOne((db) =>
    db
      .select()
      .from(screening)
      .where(
        and(
          eq(screening.clinicId, clinicId),
          eq(screening.patientId, patientId),
          isNotNull(screening.confirmedBy),
        ),
      )
      .orderBy(desc(screening.createdAt), desc(sql`rowid`)),
  );
}

/** Newest first. */
export function decisionsOf(
  clinicId: ClinicId,
  patientId: PatientId,
): Promise<ScreeningDecisionRow[]> {
  return read((db) =>
    db
      .select()
      .from(screeningDecision)
      .where(
        and(eq(screeningDecision.clinicId, clinicId), eq(screeningDecision.patientId, patientId)),
      )
      .orderBy(desc(screeningDecision.createdAt), desc(sql`rowid`))
      .limit(LIST_BOUNDS.screenings),
  );
}

/**
 * A guard's condition: the newest confirmed screening does not block prescribing, or the newest
 * decision about it lets prescribing go on.
 */
export function screeningAllows(clinicId: ClinicId, patientId: PatientId) {
  const blocking = sql.join(
    BLOCKING_OUTCOMES.map((outcome) => sql`${outcome}`),
    sql`, `,
  );
  return sql`SELECT coalesce((
    SELECT s.outcome NOT IN (${blocking}) OR coalesce((
      SELECT d.may_prescribe FROM screening_decision AS d
      WHERE d.clinic_id = s.clinic_id AND d.screening_id = s.id
      ORDER BY d.created_at DESC, d.rowid DESC LIMIT 1), 0)
    FROM screening AS s
    WHERE s.clinic_id = ${clinicId} AND s.patient_id = ${patientId} AND s.confirmed_by IS NOT NULL
    ORDER BY s.created_at DESC, s.rowid DESC LIMIT 1), 1)`;
}

export function insertScreening(row: Placed<ScreeningRow>): Statement[] {
  return placed(
    row,
    row.localDate,
    (columns) =>
      builder()
        .insert(screening)
        .values({ ...row, ...columns }),
    true,
  );
}

export function insertDecision(row: Placed<ScreeningDecisionRow>, on: LocalDate): Statement[] {
  return placed(row, on, (columns) =>
    builder()
      .insert(screeningDecision)
      .values({ ...row, ...columns }),
  );
}

export function insertReferral(row: Placed<ReferralRow>): Statement[] {
  return placed(row, row.localDate, (columns) =>
    builder()
      .insert(referral)
      .values({ ...row, ...columns }),
  );
}

export function insertReferralAnswer(row: Placed<ReferralAnswerRow>, on: LocalDate): Statement[] {
  return placed(row, on, (columns) =>
    builder()
      .insert(referralAnswer)
      .values({ ...row, ...columns }),
  );
}

/** The referrals of these patients that have no answer, by patient. */
export async function openReferralsOf(
  clinicId: ClinicId,
  patientIds: readonly string[],
): Promise<ReadonlyMap<string, readonly string[]>> {
  const rows = await read((db) =>
    db
      .select({ patientId: referral.patientId, id: referral.id })
      .from(referral)
      .where(
        and(
          eq(referral.clinicId, clinicId),
          among(referral.patientId, patientIds),
          sql`NOT EXISTS (SELECT 1 FROM referral_answer AS a
            WHERE a.clinic_id = referral.clinic_id AND a.referral_id = referral.id)`,
        ),
      ),
  );
  return rollup(
    rows,
    (own) => own.map(({ id }) => id),
    ({ patientId }) => patientId,
  );
}

/** A patient's referrals with their answers, newest first. */
export async function referralsOf(clinicId: ClinicId, patientId: PatientId) {
  const rows = await read((db) =>
    db
      .select({ referral, answer: referralAnswer })
      .from(referral)
      .leftJoin(
        referralAnswer,
        and(
          eq(referralAnswer.clinicId, referral.clinicId),
          eq(referralAnswer.referralId, referral.id),
        ),
      )
      .where(and(eq(referral.clinicId, clinicId), eq(referral.patientId, patientId)))
      .orderBy(desc(referral.createdAt), asc(referralAnswer.createdAt))
      .limit(LIST_BOUNDS.referrals),
  );
  const byId = new Map<string, { referral: ReferralRow; answers: ReferralAnswerRow[] }>();
  for (const row of rows) {
    const known = byId.get(row.referral.id) ?? { referral: row.referral, answers: [] };
    if (row.answer) known.answers.push(row.answer);
    byId.set(row.referral.id, known);
  }
  return [...byId.values()];
}
