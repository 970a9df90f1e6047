import {
  ABOUT_NOTHING,
  type FindingAbout,
  type ProposedFinding,
  proposeFindings,
  sameFacts,
} from '@/core/findings';
import type { FindingDraft } from '@/core/records';
import { detailsFor } from '../details';
import { irritability } from '@/core/symptoms';
import { type FindingRow, type Patient, findingsOf, insertFinding } from '@/db';
import type { SignedIn } from '../access';
import { patientFor } from '../people';
import { Problem } from '../problem';
import { todayOf } from '../programme-facts';
import { newestHistory } from './entries';
import { detectableChangesOf, latestMeasures } from './measuring';
import { isSameRecord, writeAs } from './write-as';

/** A finding whose facts are known. */
export type ReadFinding = FindingRow & { readonly about: FindingAbout };

export type FindingList = {
  /** From the newest measures, not decided yet, or decided about other numbers. */
  readonly proposed: readonly (ProposedFinding & { readonly before: FindingRow | null })[];
  /** Confirmed or added, newest first: what Plan suggests from. */
  readonly confirmed: readonly ReadFinding[];
  readonly dismissed: readonly FindingRow[];
  /** Confirmed once, and not found any more in the newest measures. */
  readonly settled: readonly FindingRow[];
};

/**
 * A decision holds as long as the facts it was made about are the same: new numbers ask again. One
 * from before numbers were kept holds while the table says the same sentence; one whose facts cannot
 * be told asks again.
 */
function holdsFor(before: FindingRow, proposal: ProposedFinding): boolean {
  if (before.about === null || before.cue !== proposal.cue) return false;
  return before.about.numbers === null
    ? before.proposed === proposal.say
    : sameFacts(before.about, proposal.about);
}

const isRead = (row: FindingRow): row is ReadFinding => row.about !== null;

async function proposalsFor(patient: Patient): Promise<ProposedFinding[]> {
  const [measures, detectable, history, { details }] = await Promise.all([
    latestMeasures(patient),
    detectableChangesOf(patient.clinicId),
    newestHistory(patient),
    detailsFor(patient),
  ]);
  return proposeFindings({
    sex: details.sex,
    measures,
    detectable,
    irritability: history?.irritability ? irritability(history.irritability) : null,
  });
}

/** Proposals beside what the clinician has said of them. */
export async function findingList(patient: Patient): Promise<FindingList> {
  const [proposals, rows] = await Promise.all([
    proposalsFor(patient),
    findingsOf(patient.clinicId, patient.id),
  ]);
  const byKey = new Map(rows.map((row) => [row.key, row]));
  const proposed = proposals.flatMap((proposal) => {
    const before = byKey.get(proposal.key) ?? null;
    return before && holdsFor(before, proposal) ? [] : [{ ...proposal, before }];
  });
  const open = new Set(proposed.map(({ key }) => key));
  const found = new Set(proposals.map(({ key }) => key));
  const stands = (row: FindingRow) => row.proposed === null || found.has(row.key);
  const decided = rows.filter((row) => !open.has(row.key));
  const kept = decided.filter((row) => row.decision !== 'dismissed');
  return {
    proposed,
    confirmed: kept.filter(stands).filter(isRead),
    dismissed: decided.filter((row) => row.decision === 'dismissed'),
    settled: kept.filter((row) => !stands(row)),
  };
}

/** What a decision is about: never what was sent, but what the measures or the record say. */
type Subject = Pick<FindingRow, 'about' | 'towards' | 'source' | 'cue' | 'proposed'>;

const OWN: Subject = {
  about: ABOUT_NOTHING,
  towards: '',
  source: 'The clinician’s own.',
  cue: null,
  proposed: null,
};

async function subjectOf(patient: Patient, draft: FindingDraft): Promise<Subject> {
  const before = (await findingsOf(patient.clinicId, patient.id)).find(
    ({ key }) => key === draft.key,
  );
  if (draft.proposed === null && !before) return OWN;
  const proposal = (await proposalsFor(patient)).find(({ key }) => key === draft.key);
  if (proposal?.say === draft.proposed) return { ...proposal, proposed: proposal.say };
  // Taken back, or confirmed after all, as it was decided then.
  if (before && before.proposed === draft.proposed) return before;
  throw new Problem(
    409,
    'The measures say something else by now. Load the page again and look at that finding.',
    ['proposed'],
  );
}

/** Keeps what a clinician says of a finding. Other words never change what it is about. */
export async function decideFinding(member: SignedIn, draft: FindingDraft): Promise<void> {
  const patient = await patientFor(member, draft.patientId);
  const { clinicId } = member;
  const { id, key, decision, say, reason } = draft;
  if (decision === 'dismissed' && reason === '')
    throw new Problem(400, 'Say in a word why it is dismissed.', ['reason']);
  const { about, towards, source, cue, proposed } = await subjectOf(patient, draft);
  await writeAs(member, 'practitioner', {
    verb: decision,
    subject: { kind: 'finding', id },
    statements: (at) =>
      insertFinding({
        clinicId,
        id,
        patientId: patient.id,
        authorId: member.id,
        createdAt: at,
        localDate: todayOf(patient),
        key,
        decision,
        about,
        towards,
        source,
        cue,
        proposed,
        say,
        reason,
      }),
    isThere: async () =>
      (await findingsOf(clinicId, patient.id)).some((row) =>
        isSameRecord(row, { id, key, decision, say, reason }),
      ),
  });
}
