import { redirect } from 'next/navigation';
import { cache } from 'react';
import type { EpisodeArea } from '@/core/measures';
import { recordId } from '@/core/records';
import { type Episode, type Patient, patientById } from '@/db';
import type { SignedIn } from './access';
import { openEpisodes } from './at-hand';
import { mayOpen } from './files';
import { noteLook } from './looks';

/** A patient with what the episode at hand is about; empty and null where none is open. */
type OpenedFile = {
  readonly patient: Patient;
  readonly complaint: string;
  readonly area: EpisodeArea | null;
  /** All that are open, the one at hand first. */
  readonly open: readonly Episode[];
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
    const open = await openEpisodes(member, patient.id);
    const [episode] = open;
    return { patient, complaint: episode?.complaint ?? '', area: episode?.area ?? null, open };
  },
);
