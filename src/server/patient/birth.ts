import { sayToPatient } from '@/catalogue';
import { z } from 'zod';
import { dateText } from '@/core/records';
import type { PatientHere } from '../access';
import { Problem } from '../problem';
import { languageFor } from '../languages';
import { hashToken } from '../secrets';
import { checkRate, recordFailure } from '../sign-in';

export const BIRTH_COOKIE = 'dl_birth';

export const BirthCheck = z.object({ birthDate: dateText });

/** Proof that this device answered; it is of no use on another. */
function proofOf(here: PatientHere): string {
  return hashToken(`${here.tokenHash} ${here.patient.birthDate}`);
}

/** Whether this device may show the history: the clinic keeps no birth date, or it was answered here. */
export function mayHistory(here: PatientHere, proof: string | undefined): boolean {
  return here.patient.birthDate === null || proof === proofOf(here);
}

/** Checks the date; wrong ones are counted, and after some nothing is checked for a while. */
export async function checkBirth(here: PatientHere, birthDate: string): Promise<string> {
  // Where the clinic keeps no date there is nothing to prove.
  if (here.patient.birthDate === null) return proofOf(here);
  const what = hashToken(`birth ${here.id}`);
  await checkRate(what);
  if (birthDate !== here.patient.birthDate) {
    await recordFailure(what);
    throw new Problem(403, sayToPatient(languageFor(here.patient), 'progress.birth.wrong'), [
      'birthDate',
    ]);
  }
  return proofOf(here);
}
