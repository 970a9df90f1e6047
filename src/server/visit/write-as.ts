import { isDeepStrictEqual } from 'node:util';
import type { Instant } from '@/core/schedule';
import type { Role } from '@/core/records';
import { AlreadyThere, type Statement, audit, write } from '@/db';
import { type PatientHere, type SignedIn, actorOf, stillHolds, stillMay } from '../access';
import { now } from '../clock';

type Deed = {
  readonly verb: string;
  readonly subject: { readonly kind: string; readonly id: string };
  readonly statements: (at: Instant) => readonly Statement[];
  /**
   * Whether exactly this record stands there already, so that sending it twice changes nothing.
   * Left out where a repetition does no harm by itself.
   */
  readonly isThere?: () => Promise<boolean>;
};

/**
 * Whether a stored record is this very draft: every field that both have is the same. A record with
 * other words under the same id is another one, and is refused instead of passing for stored.
 */
export function isSameRecord(stored: object, draft: object): boolean {
  const row = stored as Record<string, unknown>;
  return Object.entries(draft).every(
    ([key, value]) => !(key in row) || isDeepStrictEqual(row[key], value),
  );
}

/** One guarded, audited write. Repeating it changes nothing. */
async function carryOut(
  person: SignedIn | PatientHere,
  access: Statement,
  { verb, subject, statements, isThere }: Deed,
): Promise<void> {
  const at = now();
  try {
    await write(() => [
      access,
      ...statements(at),
      audit({ clinicId: person.clinicId, at, actor: actorOf(person), verb, subject }),
    ]);
  } catch (error) {
    if (error instanceof AlreadyThere && isThere && (await isThere())) return;
    throw error;
  }
}

/** A member's write, carried out only while they are still allowed to. */
export function writeAs(member: SignedIn, needed: Role, deed: Deed): Promise<void> {
  return carryOut(member, stillMay(member, needed), deed);
}

/** A write of a patient's device, carried out only while its link holds. */
export function writeAsPatient(here: PatientHere, deed: Deed): Promise<void> {
  return carryOut(here, stillHolds(here), deed);
}
