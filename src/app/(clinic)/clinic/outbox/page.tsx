import { requireMember } from '@/server/require';
import type { Metadata } from 'next';
import { sendsMail } from '@/server/mail/settings';
import { outboxOf } from '@/server/patient/outbox';
import { ReturnedMail } from '@/ui/clinic/returned-mail';
import { legible } from '@/app/legible';

export const metadata: Metadata = { title: 'Outbox' };

const STATES = {
  waiting: 'waiting',
  sent: 'sent',
  'given up': 'given up',
  'not needed': 'not needed',
} as const;

/** What the stand-in for text and mail was given: it delivers to nobody. */
export default legible(OutboxPage);

async function OutboxPage() {
  const member = await requireMember();
  const [messages, mails] = await Promise.all([
    outboxOf(member.clinicId),
    sendsMail(member.clinicId),
  ]);
  const time = new Intl.DateTimeFormat('en-GB', { dateStyle: 'short', timeStyle: 'short' });
  return (
    <>
      <h1 className="border-b border-hair pb-3 text-2xl">Outbox</h1>
      <p className="max-w-[75ch] py-3 text-soft">
        {mails
          ? 'E-mails leave by the clinic’s own mail server. Texts go to a stand-in that delivers to nobody.'
          : 'A stand-in for a text and mail service: it delivers to nobody, fails one time in five and is tried again, each message once. The lead sets up a real mail server under Clinic.'}
      </p>
      {mails && <ReturnedMail />}
      {messages.length === 0 ? (
        <p>
          No message yet. Patients choose their reminders on their phone, under Settings; leads hear
          of alerts nobody has taken.
        </p>
      ) : (
        <div className="overflow-x-auto" tabIndex={0} role="region" aria-label="Messages">
          <table className="w-full text-left">
            <thead>
              <tr className="border-b border-hair">
                {['Patient', 'By', 'To', 'Text', 'State', 'Tries', 'Sent'].map((column) => (
                  <th key={column} scope="col" className="py-1 pr-4 font-medium">
                    {column}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {messages.map((one) => (
                <tr key={one.id} className="border-b border-hair align-top">
                  <td className="py-1 pr-4" dir="auto">
                    {one.name}
                  </td>
                  <td className="py-1 pr-4">{one.channel}</td>
                  <td className="figures py-1 pr-4">{one.address}</td>
                  <td className="py-1 pr-4" dir="auto">
                    {one.text}
                  </td>
                  <td className="py-1 pr-4">
                    {STATES[one.state]}
                    {one.because && `: ${one.because}`}
                  </td>
                  <td className="figures py-1 pr-4">{one.attempts}</td>
                  <td className="figures py-1">{one.sentAt ? time.format(one.sentAt) : '–'}</td>
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      )}
    </>
  );
}
