import { cache } from 'react';
import { recordId } from '@/core/records';
import { type Patient, openEpisodeOf, patientById } from '@/db';
import type { SignedIn } from './access';
import { noteLook } from './looks';

/** A patient's file as a page opens it; null when the clinic has no such patient. Once per request. */
export const openPatient = cache(
  async (member: SignedIn, id: string): Promise<{ patient: Patient; complaint: string } | null> => {
    if (!recordId.safeParse(id).success) return null;
    const patient = await patientById(member.clinicId, id);
    if (!patient) return null;
    await noteLook(member, patient, 'file');
    const episode = await openEpisodeOf(member.clinicId, patient.id);
    return { patient, complaint: episode?.complaint ?? '' };
  },
);
