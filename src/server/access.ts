import type { Role } from '@/core/records';
import type { ClinicId } from '@/core/units';
import {
  type Actor,
  type Condition,
  type Patient,
  type Statement,
  type memberBySession,
  type patientByDevice,
  deviceHolds,
  guard,
  memberIssuesLinks,
  memberMay,
} from '@/db';
import { sessionName } from './secrets';

/** A member of this session, and the proof that goes into every write's guard. */
type OfSession = {
  readonly kind: 'member';
  readonly id: string;
  readonly clinicId: ClinicId;
  readonly name: string;
  readonly role: Role;
  readonly tokenHash: string;
  /** Whether some files are closed to them: an assistant who sees chosen practitioners' patients. */
  readonly narrowed: boolean;
  /** Whether they may issue and end patients' links. */
  readonly issuesLinks: boolean;
};

/** A signed-in member with the second factor that their clinic wants, where it wants one. */
export type SignedIn = OfSession & { readonly lacksFactor: false };

/** A signed-in member who may lack that factor: all that is open to them then is to set it up. */
export type AnyMember = SignedIn | (OfSession & { readonly lacksFactor: true });

/** A patient on a device that opened the personal link. */
export type PatientHere = {
  readonly kind: 'patient';
  readonly id: string;
  readonly clinicId: ClinicId;
  readonly patient: Patient;
  readonly tokenHash: string;
  /** Hash of the clinic's notice that was read on this device; null where none was. */
  readonly noticeRead: string | null;
};

/** What each role may do: its own and that of those below. */
const RANK: Readonly<Record<Role, number>> = { assistant: 1, practitioner: 2, lead: 3 };

export function roleSuffices(role: Role, needed: Role): boolean {
  return RANK[role] >= RANK[needed];
}

function rolesFrom(needed: Role): Role[] {
  return (Object.keys(RANK) as Role[]).filter((role) => roleSuffices(role, needed));
}

/** That this member's session holds, with at least this role. */
export function thatMemberMay(member: AnyMember, needed: Role): Condition {
  return memberMay(member.tokenHash, member.clinicId, rolesFrom(needed));
}

/** The guard that stands first in every write of a member. */
export function stillMay(member: AnyMember, needed: Role): Statement {
  return guard('access', thatMemberMay(member, needed));
}

/** The guard of a write that wants the right to issue patients' links. */
export function stillIssuesLinks(member: SignedIn): Statement {
  return guard('access', memberIssuesLinks(member.tokenHash, member.clinicId));
}

/** That this patient's device holds. */
export function thatDeviceHolds(patient: PatientHere): Condition {
  return deviceHolds(patient.tokenHash, patient.clinicId, patient.patient.id);
}

/** The guard that stands first in every write of a patient's device. */
export function stillHolds(patient: PatientHere): Statement {
  return guard('access', thatDeviceHolds(patient));
}

export function actorOf(person: AnyMember | PatientHere): Actor {
  return person.kind === 'member'
    ? { kind: 'member', id: person.id, session: sessionName(person.tokenHash) }
    : { kind: 'patient', id: person.id };
}

/** A member with the rights that their session's row says. */
export function signedInOf(
  found: NonNullable<Awaited<ReturnType<typeof memberBySession>>>,
  tokenHash: string,
): AnyMember {
  const { id, clinicId, name, role, sees, issuesLinks, factorRequired, factorSince } = found;
  const assists = role === 'assistant';
  return {
    kind: 'member',
    id,
    clinicId,
    name,
    role,
    tokenHash,
    narrowed: assists && sees === 'chosen',
    issuesLinks: !assists || issuesLinks,
    lacksFactor: factorRequired && factorSince === null,
  };
}

/** A patient on the device that a row of the record says. */
export function patientHereOf(
  { patient, noticeRead }: NonNullable<Awaited<ReturnType<typeof patientByDevice>>>,
  tokenHash: string,
): PatientHere {
  const { id, clinicId } = patient;
  return { kind: 'patient', id, clinicId, patient, tokenHash, noticeRead };
}
