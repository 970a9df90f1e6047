import { sayToPatient } from '@/catalogue';
import { dateIn, dayBegins } from '@/core/schedule';
import type { NotSent } from '@/core/reminders';
import {
  clinicById,
  hasComeBack,
  hasStoppedMail,
  mailServerOf,
  mailsSince,
  patientById,
} from '@/db';
import { languageFor } from '../languages';
import { now } from '../clock';
import type { Outcome, Sender } from '../patient/outbox';
import { mailIdOf } from './mail-id';
import { sendBySmtp } from './smtp';
import { stopToken } from './stop-link';

/** The page on which a patient stops the mails. */
const stopAddress = (token: string) =>
  `${new URL(process.env.PUBLIC_URL ?? 'http://localhost').origin}/stop-mail?t=${token}`;

const never = (because: NotSent): Outcome => ({ outcome: 'refused', because });

/**
 * Sends mails by the clinic's own server where it has one that is on; everything else goes to the
 * stand-in. No more a day than the clinic's bound, none to who stopped them, and nothing of health in it.
 */
export function housesSender(standIn: Sender): Sender {
  return async (message) => {
    if (message.channel !== 'e-mail') return standIn(message);
    const { clinicId, patientId, id, purpose, address, text } = message;
    const [server, clinic, patient] = await Promise.all([
      mailServerOf(clinicId),
      clinicById(clinicId),
      patientById(clinicId, patientId),
    ]);
    if (!server?.on || !clinic || !patient) return standIn(message);
    const isToPatient = purpose !== 'escalation';
    if (isToPatient && (await hasStoppedMail(clinicId, patientId)))
      return never('stopped by the patient');
    const midnight = dayBegins(clinic.zone, dateIn(clinic.zone, now()));
    if (isToPatient && (await mailsSince(clinicId, midnight)) >= server.mostADay)
      return never('bound of the day');
    if (isToPatient && (await hasComeBack(clinicId, patientId, address)))
      return never('address sends back');
    const stopAt = isToPatient ? stopAddress(stopToken(server.stopKey, clinicId, patientId)) : '';
    const language = languageFor(patient);
    const { outcome } = await sendBySmtp(server, {
      to: address,
      from: { name: clinic.name, address: server.from },
      subject: isToPatient
        ? sayToPatient(language, 'remind.subject', { clinic: clinic.name })
        : `${clinic.name}: something waits`,
      text: isToPatient ? `${text}\n\n${sayToPatient(language, 'remind.stop')}\n${stopAt}\n` : text,
      stopAt,
      id: mailIdOf(server.stopKey, id),
    });
    return outcome === 'refused' ? never('refused for good') : { outcome };
  };
}
