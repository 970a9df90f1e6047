import type { AllowedDraft, HandOverDraft, OpeningDraft } from '@/core/records';
import { later } from '@/core/schedule';
import type { MemberId } from '@/core/units';
import {
  type Patient,
  caseloads,
  handOver,
  insertOpening,
  memberById,
  membersOf,
  openedSince,
  openingById,
  openingsOf,
  patientById,
  patientNamed,
  putAllowed,
  seenBy,
  seenByAll,
  withFactor,
} from '@/db';
import type { SignedIn } from './access';
import { now } from './clock';
import { PERIODS_MS } from './periods';
import { NOT_FOUND, Problem } from './problem';
import { writeAs } from './visit/write-as';

export const CLOSED =
  'This file is not among those you see. Where you have to, open it with a reason; the lead sees who did.';

/**
 * Whether a member may look into a patient's file: everybody but an assistant who sees chosen
 * practitioners' patients; they too once they opened it with a reason.
 */
export async function mayOpen(member: SignedIn, patient: Patient): Promise<boolean> {
  if (!member.narrowed) return true;
  const seen = await seenBy(member.clinicId, member.id);
  return (
    seen.includes(patient.practitionerId) ||
    openedSince(patient.clinicId, patient.id, member.id, later(now(), -PERIODS_MS.fileOpened))
  );
}

/** Whose patients a member's lists show; null for everybody's. */
export async function practitionersSeen(member: SignedIn): Promise<readonly MemberId[] | null> {
  return member.narrowed ? seenBy(member.clinicId, member.id) : null;
}

/**
 * Opens a closed file for some hours, with a reason that the lead reads.
 *
 * @returns whose file it is
 */
export async function openClosedFile(
  member: SignedIn,
  draft: OpeningDraft,
): Promise<{ patientId: string }> {
  const { clinicId } = member;
  const patient =
    draft.patientId === null
      ? await patientNamed(clinicId, draft.name ?? '')
      : await patientById(clinicId, draft.patientId);
  if (!patient)
    throw new Problem(
      404,
      'There is no file of exactly this name in your clinic, or more than one. Ask the lead.',
      ['name'],
    );
  await writeAs(member, 'assistant', {
    verb: 'opened with a reason the closed file of',
    subject: { kind: 'patient', id: patient.id },
    statements: (at) => [
      insertOpening({
        clinicId,
        id: draft.id,
        patientId: patient.id,
        createdAt: at,
        authorId: member.id,
        reason: draft.reason,
      }),
    ],
    isThere: async () => {
      const there = await openingById(clinicId, draft.id);
      return there?.reason === draft.reason && there.patientId === patient.id;
    },
  });
  return { patientId: patient.id };
}

/** The newest openings of closed files, for the lead. */
export function openingsFor(lead: SignedIn) {
  return openingsOf(lead.clinicId);
}

/** What the lead allows an assistant: which files, and whether to issue links. */
export async function allow(lead: SignedIn, draft: AllowedDraft): Promise<void> {
  const { clinicId } = lead;
  const members = await membersOf(clinicId);
  const ids = new Set<string>(members.map(({ id }) => id));
  if (![draft.memberId, ...draft.practitioners].every((id) => ids.has(id)))
    throw new Problem(404, NOT_FOUND);
  const practitioners = draft.sees === 'all' ? [] : [...new Set(draft.practitioners)];
  await writeAs(lead, 'lead', {
    verb: 'changed what is allowed to',
    subject: { kind: 'member', id: draft.memberId },
    statements: () => putAllowed(clinicId, { ...draft, practitioners }),
  });
}

/** Hands patients of one practitioner over to another. */
export async function handOverPatients(lead: SignedIn, draft: HandOverDraft): Promise<void> {
  const { clinicId } = lead;
  const { from, to, patientId } = draft;
  const [giver, taker] = await Promise.all([memberById(clinicId, from), memberById(clinicId, to)]);
  if (!giver || !taker) throw new Problem(404, NOT_FOUND);
  if (patientId !== null && !(await patientById(clinicId, patientId)))
    throw new Problem(404, NOT_FOUND);
  if (!taker.active || taker.role === 'assistant')
    throw new Problem(400, 'Choose a practitioner or lead who can sign in.', ['to']);
  await writeAs(lead, 'lead', {
    verb: patientId === null ? 'handed over every patient of' : 'handed over a patient of',
    subject: { kind: 'member', id: from },
    statements: () => [handOver(clinicId, from, to, patientId)],
  });
}

/** What the page of the clinic says of its members beside their names. */
export async function allowedOf(lead: SignedIn) {
  const { clinicId } = lead;
  const [members, seen, loads, factors] = await Promise.all([
    membersOf(clinicId),
    seenByAll(clinicId),
    caseloads(clinicId),
    withFactor(clinicId),
  ]);
  return {
    /** Who may have patients: everybody active but assistants. */
    practitioners: members
      .filter(({ role, active }) => active && role !== 'assistant')
      .map(({ id, name }) => ({ id, name })),
    seenBy: (id: MemberId) =>
      seen.filter(({ memberId }) => memberId === id).map((row) => row.practitionerId),
    caseload: (id: MemberId) => loads.find(({ memberId }) => memberId === id)?.count ?? 0,
    hasFactor: (id: MemberId) => factors.includes(id),
  };
}

/** Whose patient this is, and who may take over. */
export async function handingOver(patient: Patient) {
  const members = await membersOf(patient.clinicId);
  const named = members.map(({ id, name }) => ({ id, name }));
  return {
    from: named.find(({ id }) => id === patient.practitionerId) ?? {
      id: patient.practitionerId,
      name: 'a former member',
    },
    others: members
      .filter(
        ({ id, role, active }) => active && role !== 'assistant' && id !== patient.practitionerId,
      )
      .map(({ id, name }) => ({ id, name })),
  };
}
