import type { Metadata } from 'next';
import { ownSessions } from '@/server/account';
import { clinicOf } from '@/server/clinic';
import { requireMember } from '@/server/require';
import { factorState } from '@/server/second-factor';
import { FactorPanel } from '@/ui/account/factor-panel';
import { PasswordForm } from '@/ui/account/password-form';
import { SessionList } from '@/ui/account/session-list';
import { coversFor, whoCovers } from '@/server/cover';
import { roleSuffices } from '@/server/access';
import { visitCalendarSince } from '@/server/visit/visit-calendar';
import { VisitCalendar } from '@/ui/account/visit-calendar';
import { CoverForm } from '@/ui/account/cover-form';
import { KeySwitch } from '@/ui/forms/key-switch-box';
import { legible } from '@/app/legible';

export const metadata: Metadata = { title: 'Your account' };

export default legible(AccountPage);

async function AccountPage() {
  const member = await requireMember();
  const mayBeAway = roleSuffices(member.role, 'practitioner');
  const [sessions, clinic, factor, covers, others, calendar] = await Promise.all([
    ownSessions(member),
    clinicOf(member),
    factorState(member),
    mayBeAway ? coversFor(member) : null,
    whoCovers(member),
    mayBeAway ? visitCalendarSince(member) : null,
  ]);
  const when = new Intl.DateTimeFormat('en-GB', {
    dateStyle: 'medium',
    timeStyle: 'short',
    timeZone: clinic.zone,
  });
  return (
    <>
      <h1 className="border-b border-hair pb-3 text-2xl">Your account</h1>
      <div className="grid gap-10 pt-4 lg:grid-cols-2">
        <section className="grid content-start gap-4">
          <h2 className="text-lg">Password</h2>
          <PasswordForm />
          <h2 className="pt-4 text-lg">Second factor</h2>
          <FactorPanel
            {...factor}
            since={factor.since === null ? null : when.format(factor.since)}
          />
        </section>
        <div className="grid content-start gap-10">
          <section className="grid gap-4">
            <h2 className="text-lg">Where you are signed in</h2>
            <SessionList
              sessions={sessions.map(({ since, lastSeen, ...one }) => ({
                ...one,
                since: when.format(since),
                lastSeen: when.format(lastSeen),
              }))}
            />
          </section>
          {covers && (
            <section className="grid gap-3">
              <h2 className="text-lg">
                {member.role === 'lead' ? 'While somebody is away' : 'While you are away'}
              </h2>
              <p className="text-soft">
                Whoever answers sees it on the morning list, and the patients see it on the phone.
                Stops still go to the lead when nobody takes them.
              </p>
              <CoverForm
                memberId={member.id}
                covers={covers.covers.filter(
                  ({ memberId }) => member.role === 'lead' || memberId === member.id,
                )}
                forOthers={member.role === 'lead'}
                others={others}
                today={covers.today}
                key={covers.covers.length}
              />
            </section>
          )}
          {mayBeAway && (
            <section className="grid gap-3">
              <h2 className="text-lg">Next visits in your calendar</h2>
              <VisitCalendar since={calendar === null ? null : when.format(calendar)} />
            </section>
          )}
          <section>
            <h2 className="text-lg">Keys</h2>
            <KeySwitch />
          </section>
        </div>
      </div>
    </>
  );
}
