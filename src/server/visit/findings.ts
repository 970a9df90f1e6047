import { type ProposedFinding, proposeFindings } from '@/core/findings';
import type { FindingDraft } from '@/core/records';
import { irritability } from '@/core/symptoms';
import { type FindingRow, type Patient, findingsOf, insertFinding } from '@/db';
import type { SignedIn } from '../access';
import { patientFor } from '../people';
import { Problem } from '../problem';
import { todayOf } from '../programme-facts';
import { newestHistory } from './entries';
import { detectableChangesOf, latestMeasures } from './measuring';
import { writeAs } from './write-as';

export type FindingList = {
  /** From the newest measures, not decided yet, or decided about other numbers. */
  readonly proposed: readonly (ProposedFinding & { readonly before: FindingRow | null })[];
  /** Confirmed or added, newest first: what Plan suggests from. */
  readonly confirmed: readonly FindingRow[];
  readonly dismissed: readonly FindingRow[];
  /** Confirmed once, and not found any more in the newest measures. */
  readonly settled: readonly FindingRow[];
};

/**
 * Proposals beside what the clinician has said of them. A decision holds as long as the sentence
 * it was made about is the same: new numbers ask again.
 */
export async function findingList(patient: Patient): Promise<FindingList> {
  const [measures, detectable, history, rows] = await Promise.all([
    latestMeasures(patient),
    detectableChangesOf(patient.clinicId),
    newestHistory(patient),
    findingsOf(patient.clinicId, patient.id),
  ]);
  const proposals = proposeFindings({
    measures,
    detectable,
    irritability: history?.irritability ? irritability(history.irritability) : null,
  });
  const byKey = new Map(rows.map((row) => [row.key, row]));
  const proposed = proposals.flatMap((proposal) => {
    const before = byKey.get(proposal.key) ?? null;
    return before?.proposed === proposal.say ? [] : [{ ...proposal, before }];
  });
  const open = new Set(proposed.map(({ key }) => key));
  const found = new Set(proposals.map(({ key }) => key));
  const stands = (row: FindingRow) => row.proposed === null || found.has(row.key);
  const decided = rows.filter((row) => !open.has(row.key));
  const kept = decided.filter((row) => row.decision !== 'dismissed');
  return {
    proposed,
    confirmed: kept.filter(stands),
    dismissed: decided.filter((row) => row.decision === 'dismissed'),
    settled: kept.filter((row) => !stands(row)),
  };
}

/** Keeps what a clinician says of a finding. */
export async function decideFinding(member: SignedIn, draft: FindingDraft): Promise<void> {
  const patient = await patientFor(member, draft.patientId);
  const { clinicId } = member;
  if (draft.decision === 'dismissed' && draft.reason === '')
    throw new Problem(400, 'Say in a word why it is dismissed.', ['reason']);
  await writeAs(member, 'practitioner', {
    verb: draft.decision,
    subject: { kind: 'finding', id: draft.id },
    statements: (at) => [
      insertFinding({
        ...draft,
        clinicId,
        patientId: patient.id,
        authorId: member.id,
        createdAt: at,
        localDate: todayOf(patient),
      }),
    ],
    isThere: async () =>
      (await findingsOf(clinicId, patient.id)).some(
        (row) => row.id === draft.id && row.say === draft.say,
      ),
  });
}
