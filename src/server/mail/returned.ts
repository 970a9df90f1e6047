import { mailIdsIn, readReturned } from '@/core/reminders';
import { later } from '@/core/schedule';
import { guard, mailServerOf, mailsSentSince, markReturned, messageWasSent } from '@/db';
import type { SignedIn } from '../access';
import { now } from '../clock';
import { PERIODS_MS } from '../periods';
import { Problem } from '../problem';
import { writeAs } from '../visit/write-as';
import { mailIdOf } from './mail-id';

/** The largest mail that is read, bytes: reports are small. */
export const RETURNED_LIMIT = 256 * 1024;

/** What became of a mail that was put in. */
export type Returned = { readonly say: string };

/**
 * Takes in a mail that came back to the clinic's own mailbox: the reminder it is about is marked, and no
 * further one goes to that address. Nothing else of it is kept.
 *
 * @throws Problem 400 where it is no report on a delivery, 404 where it is about none of this clinic's mails
 */
export async function takeReturned(member: SignedIn, bytes: Buffer): Promise<Returned> {
  const { clinicId } = member;
  const text = bytes.toString('latin1');
  const report = readReturned(text);
  if (report.kind === 'no report')
    throw new Problem(
      400,
      'This is no report on a mail that could not be delivered. Save the mail your mailbox was sent as a file (.eml), whole, and put that in.',
    );
  const server = await mailServerOf(clinicId);
  const named = new Set(mailIdsIn(text));
  const sent = await mailsSentSince(clinicId, later(now(), -PERIODS_MS.mailComesBack));
  const found = server && sent.find(({ id }) => named.has(mailIdOf(server.stopKey, id)));
  if (!found)
    throw new Problem(404, 'It is about no reminder that left this clinic in the last 30 days.');
  if (report.kind === 'delayed')
    return { say: 'The mail server goes on trying: nothing is changed yet.' };
  await writeAs(member, 'assistant', {
    verb: 'took in a returned mail of',
    subject: { kind: 'patient', id: found.patientId },
    statements: () => [
      guard('newest', messageWasSent(clinicId, found.id)),
      markReturned(clinicId, found.id),
    ],
  });
  return {
    say: `Noted${report.status === null ? '' : ` (${report.status})`}: no further reminder goes to this address until another one is chosen.`,
  };
}
