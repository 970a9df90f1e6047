import type { PatientRecord } from './outlook';
import { type NonOverlap, nonOverlap } from '@/core/statistics';
import { worstPain } from '@/core/history';
import { type LocalDate, addDays } from '@/core/units';
import { type Patient, type ProposalDecisionRow, membersOf, proposalDecisionsOf } from '@/db';
import { catalogueFor } from '../desk/exercises';

/** A decision as pages show it, with what happened after. */
export type PastDecision = {
  readonly row: ProposalDecisionRow;
  readonly name: string;
  readonly author: string;
  /** Worst pain in the fortnight before and after, by non-overlap; null with too few days. */
  readonly after: { readonly share: number; readonly low: number; readonly high: number } | null;
};

/** How many days on either side of a decision are compared. */
const AFTER_DAYS = 14;
const LEAST_DAYS_A_SIDE = 4;

/** Every decision about a patient's proposals, with what the pain did after it. It claims no cause. */
export async function pastDecisions(
  patient: Patient,
  record: PatientRecord,
): Promise<PastDecision[]> {
  const [rows, members, catalogue] = await Promise.all([
    proposalDecisionsOf(patient.clinicId, [patient.id], 60),
    membersOf(patient.clinicId),
    catalogueFor(patient.clinicId),
  ]);
  const names = new Map(members.map(({ id, name }) => [id, name]));
  return rows.map((row) => ({
    row,
    name: catalogue.byId(row.exerciseId)?.name ?? row.exerciseId,
    author: names.get(row.authorId) ?? '',
    after: afterDecision(row, record),
  }));
}

/** Worst pain in the fortnight after a decision against the one before; null with too few days. */
export function afterDecision(
  { localDate }: Pick<ProposalDecisionRow, 'localDate'>,
  { reports }: PatientRecord,
): NonOverlap | null {
  const on = localDate;
  const within = (from: LocalDate, to: LocalDate) =>
    [...reports].flatMap(([date, report]) =>
      date >= from && date <= to ? (worstPain(report) ?? []) : [],
    );
  const before = within(addDays(on, -AFTER_DAYS), on);
  const after = within(addDays(on, 1), addDays(on, AFTER_DAYS));
  const enough = Math.min(before.length, after.length) >= LEAST_DAYS_A_SIDE;
  return enough ? nonOverlap(before, after, 'less') : null;
}
