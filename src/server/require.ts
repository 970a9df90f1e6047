import 'server-only';
import { notFound, redirect } from 'next/navigation';
import type { EpisodeArea } from '@/core/measures';
import type { Episode, Patient } from '@/db';
import type { PatientHere, SignedIn } from './access';
import { currentMember, currentPatient } from './current';
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
export async function requireAnyMember(): Promise<SignedIn> {
  return (await currentMember()) ?? redirect('/sign-in');
}

/** The clinic's lead; everybody else is led to the morning list. */
export async function requireLead(): Promise<SignedIn> {
  const member = await requireMember();
  return member.role === 'lead' ? member : redirect('/');
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
