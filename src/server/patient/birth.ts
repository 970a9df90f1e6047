import { sayToPatient } from '@/catalogue';
import { z } from 'zod';
import { dateText } from '@/core/records';
import { birthProofOf, putBirthProof } from '@/db';
import type { PatientHere } from '../access';
import { ToldProblem } from '../problem';
import { languageFor } from '../languages';
import { hashToken, randomToken, sameSecret } from '../secrets';
import { countTry, forgetTries } from '../attempts';
import { writeAsPatient } from '../visit/write-as';

export const BirthCheck = z.object({ birthDate: dateText });

/**
 * What is kept of a proof. The proof is random and stands in the device's cookie alone, so that nobody
 * can make one; another birth date ends it.
 */
const kept = (proof: string, birthDate: string) => hashToken(`${proof} ${birthDate}`);

/** Whether this device may show the history: the clinic keeps no birth date, or it was answered here. */
export async function mayHistory(here: PatientHere, proof: string | undefined): Promise<boolean> {
  const { birthDate } = here.patient;
  if (birthDate === null) return true;
  const known = proof === undefined ? null : await birthProofOf(here.tokenHash);
  return known !== null && proof !== undefined && sameSecret(known, kept(proof, birthDate));
}

/**
 * Checks the date; wrong ones are counted, and after some nothing is checked for a while.
 *
 * @returns the proof for the device's cookie; empty where there is nothing to prove
 */
export async function checkBirth(here: PatientHere, birthDate: string): Promise<string> {
  const known = here.patient.birthDate;
  if (known === null) return '';
  const tried = [{ purpose: 'birth date' as const, what: here.id }];
  await countTry(tried);
  if (birthDate !== known)
    throw new ToldProblem(403, sayToPatient(languageFor(here.patient), 'progress.birth.wrong'), [
      'birthDate',
    ]);
  const proof = randomToken();
  await writeAsPatient(here, {
    verb: 'answered the birth date on a device of',
    subject: { kind: 'patient', id: here.id },
    statements: () => [putBirthProof(here.tokenHash, kept(proof, known)), ...forgetTries(tried)],
  });
  return proof;
}
