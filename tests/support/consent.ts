import { randomUUID } from 'node:crypto';
import type { ConsentBody } from '@/core/records';
import { patientById } from '@/db';
import type { SignedIn } from '@/server/access';
import { newestConsent, saveEntry } from '@/server/visit/entries';
import { today } from './clinic';

const TO_EXERCISE: ConsentBody = {
  exercise: true,
  photos: false,
  sharing: false,
  learning: false,
  minor: false,
  guardian: '',
};

/** A patient agrees to exercise, and to what else is said; what they agreed to before is taken back. */
export async function consent(
  by: SignedIn,
  patientId: string,
  given: Partial<ConsentBody> = {},
  on = today(),
): Promise<void> {
  const patient = await patientById(by.clinicId, patientId);
  const before = patient && (await newestConsent(patient));
  await saveEntry(by, {
    id: randomUUID(),
    patientId,
    kind: 'consent',
    supersedes: before?.id ?? null,
    on,
    body: { ...TO_EXERCISE, ...given },
  });
}
