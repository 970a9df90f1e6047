import { createHmac, timingSafeEqual } from 'node:crypto';
import type { ClinicId, PatientId } from '@/core/units';

/**
 * What the link in a mail carries: whose mails it stops, signed by the clinic's own key. It opens nothing
 * and tells nothing; all it can do is stop them.
 */
export function stopToken(key: string, clinicId: ClinicId, patientId: PatientId): string {
  return [clinicId, patientId, signature(key, clinicId, patientId)].join('.');
}

const signature = (key: string, clinicId: string, patientId: string) =>
  createHmac('sha256', key).update(`${clinicId}.${patientId}`).digest('base64url');

/** The two ids a token names, before anybody believes them; null where it is none. */
export function namedIn(
  token: string,
): { clinicId: ClinicId; patientId: PatientId; signed: string } | null {
  const [clinicId, patientId, signed, ...rest] = token.split('.');
  if (!clinicId || !patientId || !signed || rest.length > 0) return null;
  return { clinicId, patientId, signed };
}

/** Whether the clinic's key signed it. */
export function isSigned(
  key: string,
  { clinicId, patientId, signed }: NonNullable<ReturnType<typeof namedIn>>,
): boolean {
  const expected = Buffer.from(signature(key, clinicId, patientId));
  const given = Buffer.from(signed);
  return expected.length === given.length && timingSafeEqual(expected, given);
}
