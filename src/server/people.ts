import { ENGLISH } from '@/catalogue';
import type { ClinicDraft, MemberDraft, PatientDraft } from '@/core/records';
import { isAlike, searchText, searchWords } from '@/core/identity';
import { parseZone, dateIn } from '@/core/schedule';
import { type LocalDate, type MemberId, shortDay } from '@/core/units';
import {
  AlreadyThere,
  acknowledgeAlert,
  audit,
  endAllSessionsOf,
  forgetOwnDraft,
  guard,
  insertEpisode,
  insertMember,
  insertPatient,
  membersOf,
  openAlertById,
  type Patient,
  patientById,
  patientsLike,
  setMemberActive,
  someLead,
  updateClinic,
  write,
} from '@/db';
import { type SignedIn, actorOf, stillMay } from './access';
import { isSameRecord } from './visit/write-as';
import { issueReset } from './account';
import { now } from './clock';
import { CLOSED, mayOpen } from './files';
import { hashPassword } from './passwords';
import { NOT_FOUND, Problem } from './problem';

/** A patient of the member's clinic; a problem when there is none, or the file is closed to them. */
export async function patientFor(member: SignedIn, id: string): Promise<Patient> {
  const patient = await patientById(member.clinicId, id);
  if (!patient) throw new Problem(404, NOT_FOUND);
  if (!(await mayOpen(member, patient))) throw new Problem(403, CLOSED);
  return patient;
}

/** Adds a patient and opens the episode of care. Sending the same draft again changes nothing. */
export async function addPatient(member: SignedIn, draft: PatientDraft): Promise<{ id: string }> {
  const at = now();
  const { clinicId } = member;
  const { complaint, area = null, another = false, ...given } = draft;
  const { birthDate = null, contact = '' } = given;
  const fields = { ...given, birthDate, contact };
  const zone = parseZone(draft.zone);
  if (!zone) throw new Problem(400, 'This time zone is not known.', ['zone']);
  if (!another) await mustBeNew(member, draft);
  try {
    await write(() => [
      stillMay(member, 'practitioner'),
      insertPatient({
        language: ENGLISH.tag,
        ...fields,
        clinicId,
        practitionerId: member.id,
        createdAt: at,
        archivedAt: null,
        search: searchText({
          name: draft.name,
          clinicNumber: '',
          phones: [contact],
          complaints: [complaint],
        }),
      }),
      forgetOwnDraft(clinicId, member.id, 'new patient'),
      insertEpisode({
        clinicId,
        id: crypto.randomUUID(),
        patientId: draft.id,
        complaint,
        area,
        openedOn: dateIn(zone, at),
        closedOn: null,
      }),
      audit({
        clinicId,
        at,
        actor: actorOf(member),
        verb: 'added',
        subject: { kind: 'patient', id: draft.id },
      }),
    ]);
  } catch (error) {
    const there = error instanceof AlreadyThere ? await patientById(clinicId, draft.id) : null;
    if (!there || !isSameRecord(there, fields)) throw error;
  }
  return { id: draft.id };
}

/** @throws Problem 409 where somebody in the clinic may be the same person */
async function mustBeNew(member: SignedIn, { id, name, birthDate = null }: PatientDraft) {
  const said = await alikeInWords(member, { id, name, birthDate });
  if (said === null) return;
  throw new Problem(
    409,
    `This may be somebody you have already: ${said}. Find them first, or say that this is another person.`,
    ['another'],
  );
}

/** Who in the clinic may be the same person, in words; null where nobody may. */
export async function alikeInWords(
  member: SignedIn,
  { id, name, birthDate }: { id: string; name: string; birthDate: LocalDate | null },
): Promise<string | null> {
  const there = await patientsLike(member.clinicId, searchWords(name), birthDate);
  const alike = there.filter((one) => one.id !== id && isAlike(one, { name, birthDate }));
  if (alike.length === 0) return null;
  const said = await Promise.all(
    alike.slice(0, MOST_ALIKE_SAID).map(async (one) => {
      if (!(await mayOpen(member, one))) return 'somebody whose file is closed to you';
      return `${one.name}${one.birthDate ? `, born ${shortDay(one.birthDate)}` : ''}${one.archivedAt === null ? '' : ' (archived)'}`;
    }),
  );
  const more = alike.length - said.length;
  return `${said.join('; ')}${more > 0 ? `; and ${more} more` : ''}`;
}

/** So many are named. */
const MOST_ALIKE_SAID = 3;

/**
 * Adds a member without a password: they set it themselves by the one-time link that the lead hands over.
 *
 * @returns the link's token, told once
 */
export async function addMember(lead: SignedIn, draft: MemberDraft): Promise<{ token: string }> {
  const at = now();
  const { clinicId } = lead;
  // Of nothing anybody knows: no password fits until they set one.
  const passwordHash = await hashPassword(crypto.randomUUID());
  try {
    await write(() => [
      stillMay(lead, 'lead'),
      insertMember({ ...draft, clinicId, passwordHash, createdAt: at }),
      audit({
        clinicId,
        at,
        actor: actorOf(lead),
        verb: 'added',
        subject: { kind: 'member', id: draft.id },
      }),
    ]);
  } catch (error) {
    if (!(error instanceof AlreadyThere)) throw error;
    const same = (await membersOf(clinicId)).find((member) => member.id === draft.id);
    if (same?.email !== draft.email) {
      throw new Problem(
        409,
        'This e-mail address cannot be used here. Ask the member for another one.',
        ['email'],
      );
    }
    if (same.name !== draft.name || same.role !== draft.role)
      throw new Problem(409, 'This member was added meanwhile, under another name or role.');
  }
  return issueReset(lead, draft.id);
}

/** Lets a member in or keeps them out; keeping out ends their sessions at once. */
export async function setActive(
  lead: SignedIn,
  memberId: MemberId,
  active: boolean,
): Promise<void> {
  const at = now();
  const { clinicId } = lead;
  if (memberId === lead.id) throw new Problem(400, 'You cannot shut yourself out.');
  const members = await membersOf(clinicId);
  if (!members.some((member) => member.id === memberId)) throw new Problem(404, NOT_FOUND);
  await write(() => [
    stillMay(lead, 'lead'),
    setMemberActive(clinicId, memberId, active),
    guard('leads', someLead(clinicId)),
    ...(active ? [] : [endAllSessionsOf(clinicId, memberId, at)]),
    audit({
      clinicId,
      at,
      actor: actorOf(lead),
      verb: active ? 'let in' : 'shut out',
      subject: { kind: 'member', id: memberId },
    }),
  ]);
}

export async function changeClinic(lead: SignedIn, draft: ClinicDraft): Promise<void> {
  const at = now();
  const { clinicId } = lead;
  await write(() => [
    stillMay(lead, 'lead'),
    updateClinic(clinicId, draft),
    audit({
      clinicId,
      at,
      actor: actorOf(lead),
      verb: 'changed',
      subject: { kind: 'clinic', id: clinicId },
    }),
  ]);
}

/** Notes that a named person has seen an alert. */
export async function acknowledge(member: SignedIn, alertId: string): Promise<void> {
  const at = now();
  const { clinicId } = member;
  const open = await openAlertById(clinicId, alertId);
  if (!open) throw new Problem(404, 'This alert is not open any more.');
  await write(() => [
    stillMay(member, 'practitioner'),
    acknowledgeAlert(clinicId, alertId, member.id, at),
    audit({
      clinicId,
      at,
      actor: actorOf(member),
      verb: 'acknowledged',
      subject: { kind: 'alert', id: alertId },
    }),
  ]);
}
