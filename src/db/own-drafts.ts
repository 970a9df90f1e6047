import { and, eq } from 'drizzle-orm';
import type { ClinicId, MemberId } from '@/core/units';
import { type Statement, builder, readOne } from './door';
import { ownDraft } from './schema';

export type OwnDraft = typeof ownDraft.$inferSelect;

const isDraft = (clinicId: ClinicId, memberId: MemberId, kind: OwnDraft['kind']) =>
  and(eq(ownDraft.clinicId, clinicId), eq(ownDraft.memberId, memberId), eq(ownDraft.kind, kind));

/** A form that a member has begun; null when there is none. */
export async function ownDraftOf(clinicId: ClinicId, memberId: MemberId, kind: OwnDraft['kind']) {
  const row = await readOne((db) =>
    db
      .select({ fields: ownDraft.fields })
      .from(ownDraft)
      .where(isDraft(clinicId, memberId, kind)),
  );
  return row?.fields ?? null;
}

export function putOwnDraft(row: OwnDraft): Statement {
  const { fields, updatedAt } = row;
  return builder()
    .insert(ownDraft)
    .values(row)
    .onConflictDoUpdate({
      target: [ownDraft.clinicId, ownDraft.memberId, ownDraft.kind],
      set: { fields, updatedAt },
    });
}

export function forgetOwnDraft(
  clinicId: ClinicId,
  memberId: MemberId,
  kind: OwnDraft['kind'],
): Statement {
  return builder()
    .delete(ownDraft)
    .where(isDraft(clinicId, memberId, kind));
}
