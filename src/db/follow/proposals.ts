import { LIST_BOUNDS } from '../bounds';
import { desc, sql } from 'drizzle-orm';
import type { ClinicId } from '@/core/units';
import { type OfPatients, aboutThese, ofPatients } from '../among';
import { type Statement, builder, prepared } from '../door';
import { proposalDecision } from '../schema';
import { type Placed, placed } from '../visit/place';

export type ProposalDecisionRow = typeof proposalDecision.$inferSelect;

/** What was decided about a patient's proposals, newest first. */
export function proposalDecisionsOf(
  clinicId: ClinicId,
  patientIds: readonly string[],
  limit: number = LIST_BOUNDS.decisions,
): Promise<ProposalDecisionRow[]> {
  return decisions({ ...ofPatients(clinicId, patientIds), limit });
}

const decisions = prepared<OfPatients & { readonly limit: number }, ProposalDecisionRow>((db) =>
  db
    .select()
    .from(proposalDecision)
    .where(aboutThese(proposalDecision))
    // With its sign the order is no reason to go through the clinic's decisions instead of the patients'.
    .orderBy(desc(sql`+${proposalDecision.createdAt}`), desc(sql`rowid`))
    .limit(sql.placeholder('limit'))
    .prepare(),
);

export function insertProposalDecision(row: Placed<ProposalDecisionRow>): Statement[] {
  return placed(row, row.localDate, (columns) =>
    builder()
      .insert(proposalDecision)
      .values({ ...row, ...columns }),
  );
}
