import { redirect } from 'next/navigation';
import { cache } from 'react';
import type { EpisodeArea } from '@/core/measures';
import { recordId } from '@/core/records';
import { type Patient, openEpisodeOf, patientById } from '@/db';
import type { SignedIn } from './access';
import { mayOpen } from './files';
import { noteLook } from './looks';

/** A patient with what the open episode is about; empty and null where none is open. */
type OpenedFile = {
  readonly patient: Patient;
  readonly complaint: string;
  readonly area: EpisodeArea | null;
};

/**
 * A patient's file as a page opens it; null when the clinic has no such patient. Once per request. A
 * file that is closed to the member leads to where it can be opened with a reason.
 */
export const openPatient = cache(
  async (member: SignedIn, id: string): Promise<OpenedFile | null> => {
    if (!recordId.safeParse(id).success) return null;
    const patient = await patientById(member.clinicId, id);
    if (!patient) return null;
    if (!(await mayOpen(member, patient))) redirect(`/closed?id=${patient.id}`);
    await noteLook(member, patient, 'file');
    const episode = await openEpisodeOf(member.clinicId, patient.id);
    return { patient, complaint: episode?.complaint ?? '', area: episode?.area ?? null };
  },
);
