import type { PatientId } from '@/core/units';
import {
  audit,
  guard,
  insertDevice,
  insertLink,
  linkByToken,
  linkHolds,
  markOpened,
  revokeCalendarLinks,
  revokeLinksOf,
  write,
} from '@/db';
import { type SignedIn, actorOf, stillMay } from './access';
import { now } from './clock';
import { patientFor } from './people';
import { LINK_GONE, Problem } from './problem';
import { hashToken, randomToken } from './secrets';

/**
 * Makes a patient's personal link and revokes the one before. The token is returned once, to be
 * shown and handed over; only its hash is kept.
 */
export async function issueLink(
  member: SignedIn,
  patientId: PatientId,
): Promise<{ token: string }> {
  const patient = await patientFor(member, patientId);
  const token = randomToken();
  const at = now();
  const { clinicId } = member;
  const id = crypto.randomUUID();
  await write(() => [
    stillMay(member, 'assistant'),
    revokeLinksOf(clinicId, patient.id, at),
    // Whoever holds the calendar's address holds the programme too.
    revokeCalendarLinks(clinicId, patient.id, at),
    insertLink({ clinicId, id, patientId: patient.id, tokenHash: hashToken(token), createdAt: at }),
    audit({ clinicId, at, actor: actorOf(member), verb: 'issued', subject: { kind: 'link', id } }),
  ]);
  return { token };
}

export async function revokeLink(member: SignedIn, patientId: PatientId): Promise<void> {
  const patient = await patientFor(member, patientId);
  const at = now();
  const { clinicId } = member;
  await write(() => [
    stillMay(member, 'assistant'),
    revokeLinksOf(clinicId, patient.id, at),
    revokeCalendarLinks(clinicId, patient.id, at),
    audit({
      clinicId,
      at,
      actor: actorOf(member),
      verb: 'revoked the link of',
      subject: { kind: 'patient', id: patient.id },
    }),
  ]);
}

/** Exchanges a link's token for a cookie of this device. The link stays usable. */
export async function openLink(token: string): Promise<{ device: string }> {
  // Nobody guesses 256 bits: nothing is counted, so nobody's wrong tries close the door to a right one.
  const link = await linkByToken(hashToken(token));
  if (!link) throw new Problem(401, LINK_GONE);
  const device = randomToken();
  const at = now();
  const { clinicId, patientId } = link;
  await write(() => [
    guard('access', linkHolds(clinicId, link.id)),
    insertDevice({
      tokenHash: hashToken(device),
      clinicId,
      patientId,
      linkId: link.id,
      createdAt: at,
    }),
    markOpened(clinicId, link.id, at),
    audit({
      clinicId,
      at,
      actor: { kind: 'patient', id: patientId },
      verb: 'opened',
      subject: { kind: 'link', id: link.id },
    }),
  ]);
  return { device };
}
