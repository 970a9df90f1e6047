import type { Role } from '@/core/records';
import type { ClinicId } from '@/core/units';
import { type Actor, type Patient, type Statement, deviceHolds, guard, memberMay } from '@/db';

/** A signed-in member, and the proof that goes into every write's guard. */
export type SignedIn = {
  readonly kind: 'member';
  readonly id: string;
  readonly clinicId: ClinicId;
  readonly name: string;
  readonly role: Role;
  readonly tokenHash: string;
};

/** A patient on a device that opened the personal link. */
export type PatientHere = {
  readonly kind: 'patient';
  readonly id: string;
  readonly clinicId: ClinicId;
  readonly patient: Patient;
  readonly tokenHash: string;
};

/** What each role may do: its own and that of those below. */
const RANK: Readonly<Record<Role, number>> = { assistant: 1, practitioner: 2, lead: 3 };

export function roleSuffices(role: Role, needed: Role): boolean {
  return RANK[role] >= RANK[needed];
}

function rolesFrom(needed: Role): Role[] {
  return (Object.keys(RANK) as Role[]).filter((role) => roleSuffices(role, needed));
}

/** The guard that stands first in every write of a member. */
export function stillMay(member: SignedIn, needed: Role): Statement {
  return guard('access', memberMay(member.tokenHash, member.clinicId, rolesFrom(needed)));
}

/** The guard that stands first in every write of a patient's device. */
export function stillHolds(patient: PatientHere): Statement {
  return guard('access', deviceHolds(patient.tokenHash, patient.clinicId, patient.id));
}

export function actorOf(person: SignedIn | PatientHere): Actor {
  return { kind: person.kind, id: person.id };
}
