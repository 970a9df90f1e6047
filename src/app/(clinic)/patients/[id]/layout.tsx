import { shortDay } from '@/core/units';
import { todayOf } from '@/server/programme-facts';
import { ageOn } from '@/core/identity';
import { requireMember } from '@/server/require';
import { LANTERN_DAYS } from '@/core/morning';
import { notFound } from 'next/navigation';
import { roleSuffices } from '@/server/access';
import { detailsFor } from '@/server/details';
import { fileHeader } from '@/server/follow/file-header';
import { openPatient } from '@/server/open-patient';
import { stepsToday } from '@/server/visit/summary';
import { screeningState } from '@/server/visit/screening';
import { AlertLine } from '@/ui/forms/alert-line';
import { PauseSwitch } from '@/ui/forms/pause-switch';
import { Lantern } from '@/ui/lantern/lantern';
import { type SayDays, describeDays, ribOfDay } from '@/ui/lantern/rib';
import { ENGLISH, sayerOf } from '@/catalogue';
import { EpisodeSwitch } from '@/ui/person/episode-switch';
import { ReachLine } from '@/ui/person/reach-line';
import { uncheckedLanguage } from '@/server/checked-languages';
import { QuietLink } from '@/ui/primitives/quiet-link';
import { PatientLinkButton } from '@/ui/plan/patient-link';
import { HeaderNotes } from '@/ui/screen/header-notes';
import { StickyLine } from '@/ui/plan/sticky-line';
import { VisitRail } from '@/ui/plan/visit-rail';
import { legible } from '@/app/legible';

const SAY_DAYS: SayDays = sayerOf(ENGLISH);

export default legible(PatientLayout);

async function PatientLayout({ children, params }: LayoutProps<'/patients/[id]'>) {
  const member = await requireMember();
  const opened = await openPatient(member, (await params).id);
  if (!opened) notFound();
  const { patient, complaint, open } = opened;
  const [{ days, alerts, paused, ownPause, link }, screening, { details }, done, unchecked] =
    await Promise.all([
      fileHeader(member, patient),
      screeningState(patient),
      detailsFor(patient),
      stepsToday(member, patient),
      uncheckedLanguage(patient),
    ]);
  const age = patient.birthDate === null ? null : ageOn(patient.birthDate, todayOf(patient));
  const practises = roleSuffices(member.role, 'practitioner');
  return (
    <>
      <div className="file-header flex flex-wrap items-center gap-4 pb-3">
        <Lantern
          ribs={days.map(ribOfDay)}
          label={`Last ${LANTERN_DAYS} days. ${describeDays(days, SAY_DAYS)}`}
          height={74}
        />
        <div className="mr-auto min-w-0 max-w-[34rem]">
          <h1 className="text-2xl">
            <bdi>{patient.name}</bdi>
          </h1>
          {open.length > 1 ? (
            <EpisodeSwitch
              patientId={patient.id}
              episodes={open.map((one) => ({ id: one.id, complaint: one.complaint }))}
            />
          ) : (
            <p className="text-soft" dir="auto">
              {complaint}
              {age !== null && <span>, {age} years</span>}
            </p>
          )}
          {open.length > 1 && age !== null && <p className="text-soft">{age} years</p>}
          <ReachLine patientId={patient.id} details={details} contact={patient.contact} />
          {patient.archivedAt !== null && (
            <p className="border-l-2 border-plum pl-2">
              In the archive: on no list, and without a link.
            </p>
          )}
          {ownPause && (
            <p>
              Paused by the patient ({ownPause.reason}), {shortDay(ownPause.from)} to{' '}
              {shortDay(ownPause.to)}
            </p>
          )}
          {alerts.map((alert) => (
            <AlertLine
              key={alert.id}
              alertId={alert.id}
              kind={alert.kind}
              escalated={alert.escalated}
              mayAcknowledge={practises}
            />
          ))}
        </div>
        <div className="no-print flex flex-wrap items-center gap-2">
          <PauseSwitch patientId={patient.id} paused={paused} allowed={practises} />
          {member.issuesLinks && (
            <PatientLinkButton
              patientId={patient.id}
              patientName={patient.name}
              link={link}
              unchecked={unchecked}
            />
          )}
        </div>
      </div>
      <HeaderNotes
        patientId={patient.id}
        screening={{
          outcome: screening.outcome,
          on: screening.current?.localDate ?? null,
          precautions: screening.precautions,
          screened: screening.screened,
          blocked: screening.blocked,
          waiting: screening.waiting !== null,
          openReferrals: screening.openReferrals,
        }}
      />
      <StickyLine name={patient.name}>
        <VisitRail patientId={patient.id} done={done} />
      </StickyLine>
      <div className="pt-4">{children}</div>
      <p className="no-print pt-10 text-small">
        <QuietLink href={`/patients/${patient.id}/record`} className="text-action hover:underline">
          The record: who this is, devices, who looked{member.role === 'lead' && ', erasing'}
        </QuietLink>
      </p>
    </>
  );
}
