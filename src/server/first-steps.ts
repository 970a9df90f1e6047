import { type FirstStep, firstStepsLeft } from '@/core/operating';
import { caseloads, clinicById, membersOf } from '@/db';
import type { SignedIn } from './access';
import { backupState } from './backups';
import { now } from './clock';

/** What a new clinic has still to do; nothing for anybody but the lead, nor in a clinic for show. */
export async function firstStepsOf(
  member: SignedIn,
  environment: Readonly<Record<string, string | undefined>> = process.env,
): Promise<FirstStep[]> {
  if (member.role !== 'lead' || environment.DEMO === '1') return [];
  const { clinicId } = member;
  const [clinic, members, loads] = await Promise.all([
    clinicById(clinicId),
    membersOf(clinicId),
    caseloads(clinicId),
  ]);
  if (!clinic) return [];
  return firstStepsLeft({
    createdAt: clinic.createdAt,
    now: now(),
    members: members.filter(({ active }) => active).length,
    patients: loads.reduce((sum, { count }) => sum + count, 0),
    hasBackup: backupState(environment).kind !== 'not set up',
    hasAddress: (environment.PUBLIC_URL ?? '') !== '',
  });
}
