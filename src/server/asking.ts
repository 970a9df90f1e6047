import 'server-only';
import type { Role } from '@/core/records';
import { type AnyMember, type PatientHere, type SignedIn, roleSuffices } from './access';
import { currentAnyMember, currentPatient } from './current';
import { FACTOR_FIRST, LINK_GONE, NOT_ALLOWED, NOT_SIGNED_IN, Problem } from './problem';

/**
 * The member who asks, where they may: signed in, with the second factor that their clinic wants, and of at
 * least a role.
 *
 * @throws Problem 401, 403
 */
export async function askingMember(needed: Role): Promise<SignedIn> {
  const member = await askingAnyMember();
  if (member.lacksFactor) throw new Problem(403, FACTOR_FIRST);
  if (!roleSuffices(member.role, needed)) throw new Problem(403, NOT_ALLOWED);
  return member;
}

/** As `askingMember`, of any role and also without that factor: it is being set up. @throws Problem 401 */
export async function askingAnyMember(): Promise<AnyMember> {
  const member = await currentAnyMember();
  if (!member) throw new Problem(401, NOT_SIGNED_IN);
  return member;
}

/** The patient who asks, whose link was opened on this device. @throws Problem 401 */
export async function askingPatient(): Promise<PatientHere> {
  const patient = await currentPatient();
  if (!patient) throw new Problem(401, LINK_GONE);
  return patient;
}
