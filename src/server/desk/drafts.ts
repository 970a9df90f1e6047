import { PERIODS_MS } from '../periods';
import { type Desk, type DeskDraft, DeskState } from '@/core/records';
import { later } from '@/core/schedule';
import { MINUTE_MS, type PatientId } from '@/core/units';
import { deskDraftOf, forgetDeskDraft, othersAtDesk, putDeskDraft, write } from '@/db';
import { type SignedIn, stillMay } from '../access';
import { now } from '../clock';
import { patientFor } from '../people';

export type OtherAtDesk = { readonly name: string; readonly minutesAgo: number };

/** Who else is writing this patient's programme. */
export async function othersWriting(
  member: SignedIn,
  patientId: PatientId,
): Promise<OtherAtDesk[]> {
  const at = now();
  const rows = await othersAtDesk(
    member.clinicId,
    patientId,
    member.id,
    later(at, -PERIODS_MS.atTheDesk),
  );
  return rows.map(({ name, updatedAt }) => ({
    name,
    minutesAgo: Math.floor((at - updatedAt) / MINUTE_MS),
  }));
}

/**
 * Keeps a member's unsaved desk, and tells who else is at it. A draft is nobody's record yet, so
 * that it leaves no audit event; the version made of it does.
 */
export async function keepDraft(member: SignedIn, draft: DeskDraft): Promise<OtherAtDesk[]> {
  const patient = await patientFor(member, draft.patientId);
  const { clinicId } = member;
  await write(() => [
    stillMay(member, 'practitioner'),
    draft.desk === null
      ? forgetDeskDraft(clinicId, patient.id, member.id)
      : putDeskDraft({
          clinicId,
          patientId: patient.id,
          memberId: member.id,
          basedOn: draft.basedOn,
          body: draft.desk,
          updatedAt: now(),
        }),
  ]);
  return othersWriting(member, patient.id);
}

/** `desk` is null where what was kept is not a desk any more. */
export type KeptDraft = { readonly desk: Desk | null; readonly basedOn: number };

/** The member's own unsaved desk, and the version it began from; null when there is none. */
export async function keptDraft(member: SignedIn, patientId: PatientId): Promise<KeptDraft | null> {
  const row = await deskDraftOf(member.clinicId, patientId, member.id);
  return row && { desk: deskIn(row.body), basedOn: row.basedOn };
}

/** An unsaved desk is nobody's record: one that cannot be read is left aside, and its author is told. */
function deskIn(body: string): Desk | null {
  try {
    const read = DeskState.safeParse(JSON.parse(body));
    return read.success ? read.data : null;
  } catch {
    return null;
  }
}
