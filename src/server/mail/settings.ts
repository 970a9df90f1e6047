import type { MailDraft } from '@/core/records';
import type { ClinicId } from '@/core/units';
import { clinicById, mailServerOf, memberById, putMailServer } from '@/db';
import type { SignedIn } from '../access';
import { NOT_FOUND, Problem } from '../problem';
import { countTry } from '../attempts';
import { randomToken } from '../secrets';
import { writeAs } from '../visit/write-as';
import { sendBySmtp } from './smtp';

/** The clinic's mail server as its page shows it: never the password. */
export type ShownMail = Omit<MailDraft, 'password'> & { readonly hasPassword: boolean };

/** Null where none was ever set. */
export async function mailOf(lead: SignedIn): Promise<ShownMail | null> {
  const row = await mailServerOf(lead.clinicId);
  if (!row) return null;
  const { on, host, port, security, user, from, mostADay, password } = row;
  return { on, host, port, security, user, from, mostADay, hasPassword: password !== '' };
}

const NO_ADDRESS =
  'Mails carry a link by which patients stop them, so the server needs its public address first (PUBLIC_URL, see docs/operating.md).';

export async function saveMail(lead: SignedIn, draft: MailDraft): Promise<void> {
  const { clinicId } = lead;
  if (draft.on && !process.env.PUBLIC_URL) throw new Problem(409, NO_ADDRESS);
  const before = await mailServerOf(clinicId);
  // A password goes to the server it was typed for, and to no other.
  const isSame = before?.host === draft.host && before.user === draft.user;
  const password = draft.password === '' && isSame ? before.password : draft.password;
  if (draft.user !== '' && password === '')
    throw new Problem(400, 'Write the password too: the server or the user is another one.', [
      'password',
    ]);
  await writeAs(lead, 'lead', {
    verb: draft.on ? 'set up the mail server of' : 'turned off the mail server of',
    subject: { kind: 'clinic', id: clinicId },
    statements: (at) => [
      putMailServer({
        ...draft,
        password,
        clinicId,
        stopKey: before?.stopKey ?? randomToken(),
        updatedAt: at,
      }),
    ],
  });
}

/** Sends one mail to the lead who asks, and says what the server said. */
export async function testMail(lead: SignedIn): Promise<{ sent: boolean; say: string }> {
  const { clinicId } = lead;
  const [server, clinic, member] = await Promise.all([
    mailServerOf(clinicId),
    clinicById(clinicId),
    memberById(clinicId, lead.id),
  ]);
  if (!server || !clinic || !member) throw new Problem(404, NOT_FOUND);
  await countTry([{ purpose: 'mail test', what: clinicId }]);
  const { outcome, said } = await sendBySmtp(server, {
    id: null,
    to: member.email,
    from: { name: clinic.name, address: server.from },
    subject: `${clinic.name}: a test`,
    text: 'This is how a reminder leaves the house. It says when, never what hurts.',
    stopAt: '',
  });
  return outcome === 'sent'
    ? { sent: true, say: `Sent to ${member.email}. Look whether it arrived.` }
    : {
        sent: false,
        say: `The server did not take it: ${said || 'no answer'}. Look at its name, port, user and password.`,
      };
}

/** Whether mails leave by a server of the clinic's own. */
export async function sendsMail(clinicId: ClinicId): Promise<boolean> {
  return (await mailServerOf(clinicId))?.on === true;
}
