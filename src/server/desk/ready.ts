import { READY_PROGRAMMES } from '@/catalogue/programmes';
import type { ReadyFound } from '@/core/ready';
import type { OfferReady } from '@/core/records';
import { putReadyChoice, retiredReady } from '@/db';
import type { ClinicId } from '@/core/units';
import type { SignedIn } from '../access';
import { NOT_FOUND, Problem } from '../problem';
import { writeAs } from '../visit/write-as';

/** Ready programmes that this clinic does not offer, by their ids. */
export function notOfferedReady(clinicId: ClinicId): Promise<readonly string[]> {
  return retiredReady(clinicId);
}

/** What the ready programmes are found by that this clinic offers. */
export async function offeredReady(clinicId: ClinicId): Promise<readonly ReadyFound[]> {
  const notOffered = await retiredReady(clinicId);
  return READY_PROGRAMMES.filter(({ id }) => !notOffered.includes(id)).map(
    ({ id, name, forWhom, keywords, lines }) => ({
      id,
      name,
      forWhom,
      keywords,
      lineCount: lines.length,
    }),
  );
}

/** Offers a ready programme in this clinic, or offers it no more; programmes that were sent stay. */
export async function offerReady(member: SignedIn, { id, offered }: OfferReady): Promise<void> {
  if (!READY_PROGRAMMES.some((programme) => programme.id === id)) throw new Problem(404, NOT_FOUND);
  const { clinicId, id: authorId } = member;
  await writeAs(member, 'practitioner', {
    verb: offered ? 'offered again' : 'retired',
    subject: { kind: 'ready programme', id },
    statements: (at) => [
      putReadyChoice({
        clinicId,
        readyId: id,
        authorId,
        updatedAt: at,
        retiredAt: offered ? null : at,
      }),
    ],
  });
}
