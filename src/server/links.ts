import type { PatientId } from '@/core/units';
import {
  type Patient,
  audit,
  devicesOf,
  endDevice,
  guard,
  insertDevice,
  insertLink,
  linkByToken,
  linkHolds,
  markOpened,
  patientOfLink,
  revokeCalendarLinks,
  revokeLinksOf,
  write,
} from '@/db';
import { type PatientHere, type SignedIn, actorOf, roleSuffices, stillIssuesLinks } from './access';
import { uncheckedLanguage } from './checked-languages';
import { now } from './clock';
import { patientFor } from './people';
import { LINK_GONE, Problem } from './problem';
import { hashToken, randomToken } from './secrets';

/**
 * Makes a patient's personal link and revokes the one before. The token is returned once, to be
 * shown and handed over; only its hash is kept.
 *
 * @param answersForWords the practitioner has gone through words that nobody of the clinic has checked
 */
export async function issueLink(
  member: SignedIn,
  patientId: PatientId,
  answersForWords = false,
): Promise<{ token: string }> {
  mustIssueLinks(member);
  const patient = await patientFor(member, patientId);
  const unchecked = await uncheckedLanguage(patient);
  if (unchecked !== null) mustAnswerFor(member, unchecked, answersForWords);
  const token = randomToken();
  const at = now();
  const { clinicId } = member;
  const id = crypto.randomUUID();
  await write(() => [
    stillIssuesLinks(member),
    revokeLinksOf(clinicId, patient.id, at),
    // Whoever holds the calendar's address holds the programme too.
    revokeCalendarLinks(clinicId, patient.id, at),
    insertLink({ clinicId, id, patientId: patient.id, tokenHash: hashToken(token), createdAt: at }),
    audit({
      clinicId,
      at,
      actor: actorOf(member),
      verb: unchecked === null ? 'issued' : 'issued, answering for unchecked words,',
      subject: { kind: 'link', id },
    }),
  ]);
  return { token };
}

/**
 * Words nobody here has checked reach a patient only by a practitioner who answers for them.
 *
 * @throws Problem 403 for an assistant, 409 without the tick
 */
function mustAnswerFor(member: SignedIn, language: string, answers: boolean): void {
  if (!roleSuffices(member.role, 'practitioner'))
    throw new Problem(
      403,
      `This patient reads ${language}, whose words nobody of your clinic has checked yet. A practitioner makes the link.`,
    );
  if (!answers)
    throw new Problem(
      409,
      `This patient reads ${language}, whose words nobody of your clinic has checked yet. Tick that you have gone through the exercises with them.`,
      ['answersForWords'],
    );
}

const NO_LINKS =
  'Your clinic lets others issue and end patients’ links. Ask one of them, or the lead.';

/** @throws Problem 403 for an assistant who may not; the guard in the write holds it again */
function mustIssueLinks(member: SignedIn): void {
  if (!member.issuesLinks) throw new Problem(403, NO_LINKS);
}

/** A device of a patient as the clinic sees it. */
export type DeviceRow = {
  /** Names it in an order to end it; nobody can open anything with it. */
  readonly id: string;
  readonly since: number;
  /** Null for one that was not used since this is kept. */
  readonly lastUsed: number | null;
};

/** The devices on which a patient's link was opened and still holds. */
export async function devicesFor(patient: Patient): Promise<DeviceRow[]> {
  const rows = await devicesOf(patient.clinicId, patient.id);
  return rows.map(({ tokenHash, createdAt, lastUsed }) => ({
    id: hashToken(tokenHash),
    since: createdAt,
    lastUsed,
  }));
}

/** Ends one device of a patient; one that is over already is as it should be. */
export async function endDeviceOf(
  member: SignedIn,
  patientId: PatientId,
  device: string,
): Promise<void> {
  mustIssueLinks(member);
  const patient = await patientFor(member, patientId);
  const { clinicId } = member;
  const rows = await devicesOf(clinicId, patient.id);
  const found = rows.find(({ tokenHash }) => hashToken(tokenHash) === device);
  if (!found) return;
  const at = now();
  await write(() => [
    stillIssuesLinks(member),
    endDevice(clinicId, patient.id, found.tokenHash, at),
    audit({
      clinicId,
      at,
      actor: actorOf(member),
      verb: 'ended a device of',
      subject: { kind: 'patient', id: patient.id },
    }),
  ]);
}

export async function revokeLink(member: SignedIn, patientId: PatientId): Promise<void> {
  mustIssueLinks(member);
  const patient = await patientFor(member, patientId);
  const at = now();
  const { clinicId } = member;
  await write(() => [
    stillIssuesLinks(member),
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

/**
 * Opens a link on a device. It can be opened for as many days as the clinic lets it; on a device where
 * it was opened before then, it goes on leading to the same page.
 *
 * @param here the patient whose link was opened on this device before
 * @returns the cookie's token; null where the device has one for the same patient and needs no other
 */
export async function openLinkHere(
  token: string,
  here: PatientHere | null,
): Promise<string | null> {
  try {
    return (await openLink(token)).device;
  } catch (error) {
    const old = error instanceof Problem && here ? await patientOfLink(hashToken(token)) : null;
    if (old?.clinicId === here?.clinicId && old?.patientId === here?.id && old) return null;
    throw error;
  }
}

/** Exchanges a link's token for a cookie of this device. The link stays usable. */
export async function openLink(token: string): Promise<{ device: string }> {
  // Nobody guesses 256 bits: nothing is counted, so nobody's wrong tries close the door to a right one.
  const link = await linkByToken(hashToken(token), now());
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
      lastSeenAt: at,
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
