import type { SignedIn } from './access';
import { writeAs } from './visit/write-as';

/** Keeps that a member took a file out of the clinic's record that is of no patient. */
export function noteExport(
  member: SignedIn,
  what: 'exercises' | 'audit' | 'programme' | 'evidence' | 'limits',
): Promise<void> {
  return writeAs(member, 'practitioner', {
    verb: 'took out a file of',
    subject: { kind: what, id: member.clinicId },
    statements: () => [],
  });
}
