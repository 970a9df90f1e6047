import { ENGLISH, type Language } from '@/catalogue';
import { patientByDevice, touchDevice, write } from '@/db';
import { type PatientHere, patientHereOf } from '../access';
import { now } from '../clock';
import { languageAccepted, languageFor } from '../languages';
import { PERIODS_MS } from '../periods';
import { hashToken } from '../secrets';

/** The patient whose link was opened on the device with this token; null when none was, or it was revoked. */
export async function patientOn(token: string | undefined): Promise<PatientHere | null> {
  if (!token) return null;
  const tokenHash = hashToken(token);
  const at = now();
  const found = await patientByDevice(tokenHash, at);
  if (!found) return null;
  const { lastSeenAt } = found;
  if (lastSeenAt === null || at - lastSeenAt > PERIODS_MS.deviceTouched)
    await write(() => [touchDevice(tokenHash, at)]);
  return patientHereOf(found, tokenHash);
}

/**
 * The language of whoever reads on a device: the patient's there, a stranger's by what their browser asks
 * for, English where the record cannot be read.
 *
 * @param here finds the patient on it
 * @param accepted finds its Accept-Language header
 */
export async function languageOn(
  here: () => Promise<PatientHere | null>,
  accepted: () => string | null | Promise<string | null>,
): Promise<Language> {
  try {
    const patient = await here();
    return patient ? languageFor(patient.patient) : languageAccepted(await accepted());
  } catch {
    // The refusal says so in English.
    return ENGLISH;
  }
}
