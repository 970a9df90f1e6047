import { PERIODS_MS } from './periods';
import 'server-only';
import { cookies } from 'next/headers';
import { cache } from 'react';
import { memberBySession, touchMemberSession, write } from '@/db';
import { type AnyMember, type PatientHere, type SignedIn, signedInOf } from './access';
import { now } from './clock';
import { cookieOf } from './cookies';
import { patientOn } from './patient/on-device';
import { hashToken } from './secrets';

/**
 * The member signed in on this browser, who may not have set up the second factor that their clinic wants;
 * null when nobody is. Read once per request.
 */
export const currentAnyMember = cache(async (): Promise<AnyMember | null> => {
  const token = cookieOf(await cookies(), 'member');
  if (!token) return null;
  const tokenHash = hashToken(token);
  const at = now();
  const found = await memberBySession(tokenHash, at);
  if (!found) return null;
  if (at - found.lastSeenAt > PERIODS_MS.sessionTouched)
    await write(() => [touchMemberSession(tokenHash, at)]);
  return signedInOf(found, tokenHash);
});

/** As `currentAnyMember`; null too where the second factor that is wanted is not set up. */
export async function currentMember(): Promise<SignedIn | null> {
  const member = await currentAnyMember();
  return member?.lacksFactor === false ? member : null;
}

/** The patient whose link was opened on this device; null when none was, or it was revoked. */
export const currentPatient = cache(async (): Promise<PatientHere | null> =>
  patientOn(cookieOf(await cookies(), 'patient')),
);
