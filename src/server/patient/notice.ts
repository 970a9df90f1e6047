import { clinicById, putNoticeRead } from '@/db';
import type { PatientHere } from '../access';
import { hashToken } from '../secrets';
import { writeAsPatient } from '../visit/write-as';

/** The clinic's notice of what it does with what it is told, by paragraph; none where it has written none. */
export async function noticeOf(here: PatientHere) {
  const clinic = await clinicById(here.clinicId);
  if (!clinic || clinic.privacyText === '') return null;
  return {
    clinic: clinic.name,
    paragraphs: clinic.privacyText.split(/\n{2,}/),
    /** It is shown first on a device on which no notice was read yet. */
    first: here.noticeRead === null,
  };
}

/** Keeps that the notice as it stands was read on this device. */
export async function noticeWasRead(here: PatientHere): Promise<void> {
  const clinic = await clinicById(here.clinicId);
  if (!clinic || clinic.privacyText === '') return;
  const hash = hashToken(clinic.privacyText);
  if (here.noticeRead === hash) return;
  await writeAsPatient(here, {
    verb: 'read the notice on a device of',
    subject: { kind: 'patient', id: here.id },
    statements: () => [putNoticeRead(here.tokenHash, hash)],
  });
}
