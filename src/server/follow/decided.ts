import type { PatientRecord } from './outlook';
import { painOverlap } from '@/core/outlook';
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
    after: painOverlap(row.localDate, record.reports),
  }));
}
