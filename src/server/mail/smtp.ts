import { createTransport } from 'nodemailer';
import type { MailServer } from '@/db';

/** A mail server that does not answer keeps nobody waiting longer, milliseconds. */
const PATIENCE_MS = 15_000;

export type Mail = {
  readonly to: string;
  readonly from: { readonly name: string; readonly address: string };
  readonly subject: string;
  readonly text: string;
  /** The page on which the reader stops such mails; empty for one a member asked for. */
  readonly stopAt: string;
  /** Its own id before the sign @, by which its report is known again; null where none is awaited. */
  readonly id: string | null;
};

/** What became of a mail: gone, to be tried again, or refused in a way that another try does not change. */
export type MailOutcome = 'sent' | 'failed' | 'refused';

/**
 * Hands one mail to the clinic's server. A mail server that refuses the address for good (5xx to the
 * recipient; RFC 5321) is told apart from one that is away or asks to come later.
 *
 * @returns with the server's own words where it was not sent, for the clinic's test alone
 */
export async function sendBySmtp(
  { host, port, security, user, password }: MailServer,
  { to, from, subject, text, stopAt, id }: Mail,
): Promise<{ readonly outcome: MailOutcome; readonly said: string }> {
  const transport = createTransport({
    host,
    port,
    secure: security === 'tls',
    requireTLS: security === 'starttls',
    ignoreTLS: security === 'none',
    ...(user === '' ? {} : { auth: { user, pass: password } }),
    connectionTimeout: PATIENCE_MS,
    greetingTimeout: PATIENCE_MS,
    socketTimeout: PATIENCE_MS,
    disableFileAccess: true,
    disableUrlAccess: true,
  });
  try {
    await transport.sendMail({
      to,
      from: { name: from.name, address: from.address },
      subject,
      text,
      ...(id === null ? {} : { messageId: `<${id}@${from.address.split('@').at(-1) ?? ''}>` }),
      headers: {
        // No answering machine answers a reminder.
        'Auto-Submitted': 'auto-generated',
        ...(stopAt === '' ? {} : { 'List-Unsubscribe': `<${stopAt}>` }),
      },
    });
    return { outcome: 'sent', said: '' };
  } catch (error) {
    return { outcome: isForGood(error) ? 'refused' : 'failed', said: wordsOf(error) };
  } finally {
    transport.close();
  }
}

/** The recipient was refused with a permanent code; a wrong password or a closed door may be put right. */
function isForGood(error: unknown): boolean {
  return (
    error instanceof Error &&
    'code' in error &&
    error.code === 'EENVELOPE' &&
    'responseCode' in error &&
    typeof error.responseCode === 'number' &&
    error.responseCode >= 500
  );
}

const wordsOf = (error: unknown) => (error instanceof Error ? error.message.slice(0, 200) : '');
