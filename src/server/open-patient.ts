import { redirect } from 'next/navigation';
import { cache } from 'react';
import { recordId } from '@/core/records';
import { type Patient, openEpisodeOf, patientById } from '@/db';
import type { SignedIn } from './access';
import { mayOpen } from './files';
import { noteLook } from './looks';

/**
 * A patient's file as a page opens it; null when the clinic has no such patient. Once per request. A
 * file that is closed to the member leads to where it can be opened with a reason.
 */
export const openPatient = cache(
  async (member: SignedIn, id: string): Promise<{ patient: Patient; complaint: string } | null> => {
    if (!recordId.safeParse(id).success) return null;
    const patient = await patientById(member.clinicId, id);
    if (!patient) return null;
    if (!(await mayOpen(member, patient))) redirect(`/closed?id=${patient.id}`);
    await noteLook(member, patient, 'file');
    const episode = await openEpisodeOf(member.clinicId, patient.id);
    return { patient, complaint: episode?.complaint ?? '' };
  },
);
