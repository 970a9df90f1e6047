import { type Clinic, type Member, clinicById, membersOf } from '@/db';
import type { AnyMember, SignedIn } from './access';
import { NOT_FOUND, Problem } from './problem';

/** The member's own clinic. */
export async function clinicOf(member: AnyMember): Promise<Clinic> {
  const clinic = await clinicById(member.clinicId);
  if (!clinic) throw new Problem(404, NOT_FOUND);
  return clinic;
}

/** The members of the lead's clinic. */
export async function colleaguesOf(lead: SignedIn): Promise<Member[]> {
  return (await membersOf(lead.clinicId)).filter(({ fromClinic }) => fromClinic === null);
}
