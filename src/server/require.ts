import 'server-only';
import { notFound, redirect } from 'next/navigation';
import type { Patient } from '@/db';
import type { PatientHere, SignedIn } from './access';
import { currentMember, currentPatient } from './current';
import { openPatient } from './open-patient';

/** The member signed in on this browser; else the page is the sign-in. */
export async function requireMember(): Promise<SignedIn> {
  return (await currentMember()) ?? redirect('/sign-in');
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
}> {
  const member = await requireMember();
  const opened = (await openPatient(member, id)) ?? notFound();
  return { member, ...opened };
}
