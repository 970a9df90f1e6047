import { LIST_BOUNDS } from '../bounds';
import { and, desc, eq, sql } from 'drizzle-orm';
import type { ClinicId } from '@/core/units';
import { among } from '../among';
import { type Statement, builder, read } from '../door';
import { proposalDecision } from '../schema';
import { type Placed, placed } from '../visit/place';

export type ProposalDecisionRow = typeof proposalDecision.$inferSelect;

/** What was decided about a patient's proposals, newest first. */
export function proposalDecisionsOf(
  clinicId: ClinicId,
  patientIds: readonly string[],
  limit: number = LIST_BOUNDS.decisions,
): Promise<ProposalDecisionRow[]> {
  return read((db) =>
    db
      .select()
      .from(proposalDecision)
      .where(
        and(eq(proposalDecision.clinicId, clinicId), among(proposalDecision.patientId, patientIds)),
      )
      // With its sign the order is no reason to go through the clinic's decisions instead of the patients'.
      .orderBy(desc(sql`+${proposalDecision.createdAt}`), desc(sql`rowid`))
      .limit(limit),
  );
}

export function insertProposalDecision(row: Placed<ProposalDecisionRow>): Statement[] {
  return placed(row, row.localDate, (columns) =>
    builder()
      .insert(proposalDecision)
      .values({ ...row, ...columns }),
  );
}
