import { audit, write } from '@/db';
import { type SignedIn, actorOf } from './access';
import { now } from './clock';

/** Keeps that a member took a file out of the clinic's record that is of no patient. */
export async function noteExport(member: SignedIn, what: 'exercises' | 'audit'): Promise<void> {
  await write(() => [
    audit({
      clinicId: member.clinicId,
      at: now(),
      actor: actorOf(member),
      verb: 'took out a file of',
      subject: { kind: what, id: member.clinicId },
    }),
  ]);
}
