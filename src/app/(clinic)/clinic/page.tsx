import type { Metadata } from 'next';
import { backupState } from '@/server/backups';
import { clinicOf, colleaguesOf } from '@/server/clinic';
import { BackupNotice } from '@/ui/clinic/backup-notice';
import { requireRole } from '@/server/require';
import { allowedOf } from '@/server/files';
import { bandsOf } from '@/server/desk/bands';
import { mailOf } from '@/server/mail/settings';
import { triageLimitsOf } from '@/server/follow/marks';
import { knownZones } from '@/server/zones';
import { detectableChangesOf } from '@/server/visit/measuring';
import { QuietLink } from '@/ui/primitives/quiet-link';
import { buttonClass } from '@/ui/primitives/button';
import { BandsForm } from '@/ui/forms/bands-form';
import { LimitsForm } from '@/ui/triage/limits-form';
import { LimitsFileBox } from '@/ui/clinic/limits-file';
import { ApiKeys } from '@/ui/clinic/api-keys';
import { apiKeysFor } from '@/server/read-api/keys';
import { PushSwitch } from '@/ui/clinic/push-switch';
import { sendsPush } from '@/server/push/settings';
import { languagesOf } from '@/server/checked-languages';
import { LanguagesBox } from '@/ui/clinic/languages-box';
import { MailForm } from '@/ui/clinic/mail-form';
import { ClinicForm } from '@/ui/forms/clinic-form';
import { DetectableTable } from '@/ui/forms/detectable-table';
import { MemberForm } from '@/ui/account/member-form';
import { MemberRow } from '@/ui/account/member-row';
import { legible } from '@/app/legible';

export const metadata: Metadata = { title: 'Clinic and members' };

export default legible(ClinicPage);

async function ClinicPage() {
  const member = await requireRole('lead');
  const [clinic, members, detectable, bands, limits, allowed, mail, keys, push, languages] =
    await Promise.all([
      clinicOf(member),
      colleaguesOf(member),
      detectableChangesOf(member.clinicId),
      bandsOf(member.clinicId),
      triageLimitsOf(member.clinicId),
      allowedOf(member),
      mailOf(member),
      apiKeysFor(member),
      sendsPush(member.clinicId),
      languagesOf(member.clinicId),
    ]);
  const day = new Intl.DateTimeFormat('en-GB', { dateStyle: 'medium', timeZone: clinic.zone });
  const said = (at: number | null) => (at === null ? null : day.format(at));
  return (
    <>
      <div className="flex flex-wrap items-center border-b border-hair pb-3">
        <h1 className="mr-auto text-2xl">Clinic and members</h1>
        <div className="flex gap-2">
          <QuietLink href="/clinic/keeping" className={buttonClass('plain')}>
            Record keeping
          </QuietLink>
          <QuietLink href="/clinic/audit" className={buttonClass('plain')}>
            Audit
          </QuietLink>
          <QuietLink href="/clinic/outbox" className={buttonClass('plain')}>
            Outbox
          </QuietLink>
        </div>
      </div>
      <div className="grid gap-10 pt-4 lg:grid-cols-2">
        <section className="grid content-start gap-4">
          <h2 className="text-lg">Clinic</h2>
          <ClinicForm clinic={clinic} zones={knownZones(clinic.zone)} />
        </section>
        <section className="grid content-start gap-4">
          <h2 className="text-lg">Members</h2>
          <ul className="divide-y divide-hair border-y border-hair">
            {members.map((one) => (
              <MemberRow
                key={one.id}
                member={one}
                isSelf={one.id === member.id}
                practitioners={allowed.practitioners}
                sees={allowed.seenBy(one.id)}
                patients={allowed.caseload(one.id)}
                hasFactor={allowed.hasFactor(one.id)}
              />
            ))}
          </ul>
          <h2 className="pt-2 text-lg">Add a member</h2>
          <MemberForm />
        </section>
      </div>
      <section className="grid gap-2 pt-10">
        <h2 className="text-lg">Backups</h2>
        <BackupNotice state={backupState()} zone={clinic.zone} />
      </section>
      <section className="grid gap-2 pt-10">
        <h2 className="text-lg">E-mail</h2>
        <p className="max-w-[75ch] text-soft">
          Without a server of your own, reminders stay in the outbox. A mail says when, never what
          hurts, and carries a link by which the patient stops them.
        </p>
        <MailForm start={mail} key={JSON.stringify(mail)} />
      </section>
      <section className="grid gap-2 pt-10">
        <h2 className="text-lg">Notices on phones</h2>
        <p className="max-w-[75ch] text-soft">
          A reminder that the patient’s phone shows by itself (web push). It leaves the house by the
          service of the phone’s maker, encrypted for that phone alone, and says when, never what
          hurts.
        </p>
        <PushSwitch on={push} />
      </section>
      <section className="grid gap-2 pt-10">
        <h2 className="text-lg">Languages of patients</h2>
        <p className="max-w-[75ch] text-soft">
          Each was drafted by machine. Until somebody of your clinic who speaks it has read its
          texts and stands for them, doses, stop signs and emergency words show English beside them,
          and a practitioner answers for every link. Any change of a text undoes it.
        </p>
        <LanguagesBox
          languages={languages.map(({ checked, ...one }) => ({
            ...one,
            checked: checked && `${checked.by}, ${day.format(checked.at)}`,
          }))}
        />
      </section>
      <section className="grid gap-2 pt-10">
        <h2 className="text-lg">Keys for reading</h2>
        <p className="max-w-[75ch] text-soft">
          For a program of your own that makes reports: it reads every record of the clinic as HL7
          FHIR R4 at <span className="figures">/api/fhir</span>, changes nothing, and everything it
          read is in the audit.
        </p>
        <ApiKeys
          keys={keys.map(({ id, name, createdAt, usedAt, endedAt }) => ({
            id,
            name,
            since: day.format(createdAt),
            used: said(usedAt),
            ended: said(endedAt),
          }))}
        />
      </section>
      <section className="grid gap-2 pt-10">
        <h2 className="text-lg">When the morning list asks</h2>
        <p className="text-soft">
          Common practice, no source: set what fits your clinic. The rules only sort and say why;
          whoever looks decides.
        </p>
        <LimitsForm limits={limits} />
      </section>
      <section className="grid gap-2 pt-10">
        <h2 className="text-lg">From which change on a measurement is real</h2>
        <p className="text-soft">
          A smaller change may be error of measuring. Where your clinic knows better, put its own
          value with its source.
        </p>
        <DetectableTable own={detectable} />
      </section>
      <section className="grid gap-2 pt-10">
        <h2 className="text-lg">Bands your clinic has measured</h2>
        <p className="text-soft">
          Named light, medium, firm or by your own names. A line of two numbers for each point:
          stretch beyond the resting length in percent, pull in newtons. Between the points the
          curve never falls; beyond them it is not to be relied on.
        </p>
        <BandsForm bands={bands} />
      </section>
      <section className="grid gap-2 pt-10">
        <h2 className="text-lg">These limits for another clinic, or from one</h2>
        <p className="text-soft">
          When the list asks, which change is real, and the bands, in one file; nothing of any
          patient.
        </p>
        <LimitsFileBox />
      </section>
    </>
  );
}
