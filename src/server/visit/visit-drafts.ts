import type { VisitDraftRecord } from '@/core/records';
import type { PatientId } from '@/core/units';
import { type VisitDraftKind, forgetVisitDraft, putVisitDraft, visitDraftOf, write } from '@/db';
import { type SignedIn, stillMay } from '../access';
import { now } from '../clock';
import { patientFor } from '../people';

/**
 * Keeps what a member has begun and not signed. It is nobody's record yet, so that it leaves no
 * audit event; what is signed does.
 */
export async function keepVisitDraft(member: SignedIn, draft: VisitDraftRecord): Promise<void> {
  const patient = await patientFor(member, draft.patientId);
  const key = {
    clinicId: member.clinicId,
    patientId: patient.id,
    memberId: member.id,
    kind: draft.kind,
  };
  const { body } = draft;
  await write(() => [
    stillMay(member, 'assistant'),
    body === null ? forgetVisitDraft(key) : putVisitDraft({ ...key, body, updatedAt: now() }),
  ]);
}

/** The member's own unsigned draft; null when there is none, or it is none of ours. */
export async function keptVisitDraft(
  member: SignedIn,
  patientId: PatientId,
  kind: VisitDraftKind,
): Promise<unknown> {
  const { clinicId, id: memberId } = member;
  const text = await visitDraftOf({ clinicId, patientId, memberId, kind });
  if (text === null) return null;
  try {
    return JSON.parse(text) as unknown;
  } catch {
    return null;
  }
}
