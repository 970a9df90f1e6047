import { DatabaseFailure, GuardRefused, patientById } from '@/db';
import { recordInThread } from '@/server/whole-record/thread';
import type { LocalDate } from '@/core/units';
import { type SignedIn, actorOf } from '../access';
import { now } from '../clock';
import { mayOpen } from '../files';
import { alikeInWords } from '../people';
import { Problem } from '../problem';
import type { RecordPreview } from './in-job';

/** A record's file as it was looked at, with whoever may be the same person. */
export type LookedAt = RecordPreview & { readonly alike: string | null };

/**
 * Looks at a whole record of another installation, or takes it in. Taking in twice changes nothing.
 *
 * @throws Problem 400 with every fault for a file that is none, 409 where something differs
 */
export async function takeIn(
  member: SignedIn,
  bytes: Uint8Array,
  { isWritten }: { isWritten: boolean },
): Promise<LookedAt> {
  const { clinicId } = member;
  const report = await recordInThread({
    kind: 'in',
    clinicId,
    memberId: member.id,
    bytes,
    at: now(),
    write: isWritten ? { tokenHash: member.tokenHash, actor: actorOf(member) } : null,
  });
  if (report.kind !== 'in') throw new DatabaseFailure('failed', 'whole record');
  const said = report.report;
  switch (said.kind) {
    case 'unreadable':
      throw new Problem(400, said.problems.join(' '), ['file']);
    case 'refused':
      throw new GuardRefused(said.guard);
    case 'failed':
      throw new DatabaseFailure(said.busy ? 'busy' : 'failed', 'whole record');
    case 'looked':
      if (isWritten)
        throw new Problem(
          409,
          'Something in this file differs from what is here. Look at it again; nothing was taken in.',
        );
      return looked(member, said.preview);
    case 'written':
      return looked(member, said.preview);
  }
}

async function looked(member: SignedIn, preview: RecordPreview): Promise<LookedAt> {
  const { patientId, name, birthDate, isNew } = preview;
  const here = isNew ? null : await patientById(member.clinicId, patientId);
  if (here && !(await mayOpen(member, here)))
    throw new Problem(403, 'The file of this patient is closed to you.');
  const alike = isNew
    ? await alikeInWords(member, { id: patientId, name, birthDate: birthDate as LocalDate | null })
    : null;
  return { ...preview, alike };
}
