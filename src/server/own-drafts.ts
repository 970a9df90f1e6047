import type { KeptFields, OwnDraftRecord } from '@/core/records';
import { forgetOwnDraft, ownDraftOf, putOwnDraft, write } from '@/db';
import { type SignedIn, stillMay } from './access';
import { now } from './clock';

/** Keeps a form that a member has begun and not sent. It is nobody's record yet: no audit event. */
export async function keepOwnDraft(
  member: SignedIn,
  { kind, fields }: OwnDraftRecord,
): Promise<void> {
  const { clinicId, id: memberId } = member;
  await write(() => [
    stillMay(member, 'practitioner'),
    fields === null
      ? forgetOwnDraft(clinicId, memberId, kind)
      : putOwnDraft({ clinicId, memberId, kind, fields, updatedAt: now() }),
  ]);
}

/** A form that the member has begun; null when there is none. */
export function keptOwnDraft(
  member: SignedIn,
  kind: OwnDraftRecord['kind'],
): Promise<KeptFields | null> {
  return ownDraftOf(member.clinicId, member.id, kind);
}
