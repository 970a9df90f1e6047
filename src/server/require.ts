import 'server-only';
import { notFound, redirect } from 'next/navigation';
import type { EpisodeArea } from '@/core/measures';
import type { Episode, Patient } from '@/db';
import type { Role } from '@/core/records';
import { type AnyMember, type PatientHere, type SignedIn, roleSuffices } from './access';
import { currentAnyMember, currentPatient } from './current';
import { openPatient } from './open-patient';

/**
 * The member signed in on this browser; else the page is the sign-in, or the one where the second factor
 * is set up that their clinic wants.
 */
export async function requireMember(): Promise<SignedIn> {
  const member = await requireAnyMember();
  return member.lacksFactor ? redirect('/account/second-factor') : member;
}

/** As `requireMember`, also for a member who has not set up the second factor that is wanted. */
export async function requireAnyMember(): Promise<AnyMember> {
  return (await currentAnyMember()) ?? redirect('/sign-in');
}

/** A member of at least a role; everybody else is led to the morning list, or another page. */
export async function requireRole(needed: Role, otherwise = '/'): Promise<SignedIn> {
  const member = await requireMember();
  return roleSuffices(member.role, needed) ? member : redirect(otherwise);
}

/** The patient whose link was opened on this device; else the page is the one that says so. */
export async function requirePatient(): Promise<PatientHere> {
  return (await currentPatient()) ?? redirect('/today');
}

/** A member with a patient's file of their clinic; else the page is the sign-in, or "not found". */
export async function requireFile(id: string): Promise<{
  readonly member: SignedIn;
  readonly patient: Patient;
  readonly complaint: string;
  readonly area: EpisodeArea | null;
  readonly open: readonly Episode[];
}> {
  const member = await requireMember();
  const opened = (await openPatient(member, id)) ?? notFound();
  return { member, ...opened };
}
