import { audit, clinicById, mailServerOf, mailStopOf, patientById, stopMail, write } from '@/db';
import { now } from '../clock';
import { NOT_FOUND, Problem } from '../problem';
import { isSigned, namedIn } from './stop-link';

/** Whose mails a link stops; null where no clinic of ours signed it. */
async function patientOfToken(token: string) {
  const named = namedIn(token);
  if (!named) return null;
  const server = await mailServerOf(named.clinicId);
  if (!server || !isSigned(server.stopKey, named)) return null;
  return patientById(named.clinicId, named.patientId);
}

/** What the page behind the link says: the clinic's name and no other, and whether they are stopped. */
export async function stopPage(
  token: string,
): Promise<{ readonly clinic: string; readonly stopped: boolean } | null> {
  const patient = await patientOfToken(token);
  const clinic = patient && (await clinicById(patient.clinicId));
  if (!patient || !clinic) return null;
  const stopped = await mailStopOf(patient.clinicId, patient.id);
  return { clinic: clinic.name, stopped: stopped !== null };
}

/** Stops the mails to a patient. Doing it again changes nothing. */
export async function stopMails(token: string): Promise<void> {
  const patient = await patientOfToken(token);
  if (!patient) throw new Problem(404, NOT_FOUND);
  const { clinicId, id } = patient;
  const at = now();
  if ((await mailStopOf(clinicId, id)) !== null) return;
  await write(() => [
    stopMail(clinicId, id, at),
    audit({
      clinicId,
      at,
      actor: { kind: 'patient', id },
      verb: 'stopped the mails to',
      subject: { kind: 'patient', id },
    }),
  ]);
}
