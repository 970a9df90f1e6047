import type { Metadata } from 'next';
import { QuietLink } from '@/ui/primitives/quiet-link';
import { roleSuffices } from '@/server/access';
import { clinicOf } from '@/server/clinic';
import { detailsFor } from '@/server/details';
import { handingOver } from '@/server/files';
import { correctionsFor } from '@/server/identity';
import { devicesFor } from '@/server/links';
import { requireFile } from '@/server/require';
import { HandOver } from '@/ui/account/hand-over-form';
import { CorrectForm } from '@/ui/record/correct-form';
import { ArchiveButton } from '@/ui/person/archive-button';
import { offeredLanguages } from '@/server/languages';
import { LanguageChoice } from '@/ui/person/language-choice';
import { DetailsForm } from '@/ui/person/details-form';
import { DeviceList } from '@/ui/record/device-list';
import { ForeignRecordIn } from '@/ui/import/foreign-record';
import { WholeRecordOut } from '@/ui/record/whole-record-out';
import { buttonClass } from '@/ui/primitives/button';
import { legible } from '@/app/legible';

export const metadata: Metadata = { title: 'The record' };

export default legible(RecordPage);

async function RecordPage({ params }: PageProps<'/patients/[id]/record'>) {
  const { member, patient } = await requireFile((await params).id);
  const [clinic, devices, corrections, givers, details] = await Promise.all([
    clinicOf(member),
    devicesFor(patient),
    correctionsFor(patient),
    member.role === 'lead' ? handingOver(patient) : null,
    detailsFor(patient),
  ]);
  const when = new Intl.DateTimeFormat('en-GB', {
    dateStyle: 'medium',
    timeStyle: 'short',
    timeZone: clinic.zone,
  });
  return (
    <div className="grid gap-10 lg:grid-cols-2">
      <section className="grid content-start gap-3">
        <h2 className="text-xl">Who this is</h2>
        {roleSuffices(member.role, 'practitioner') ? (
          <CorrectForm patientId={patient.id} start={patient} key={JSON.stringify(patient)} />
        ) : (
          <dl className="grid grid-cols-[auto_1fr] gap-x-4">
            <dt className="text-soft">Birth date</dt>
            <dd>{patient.birthDate ?? 'not written'}</dd>
            <dt className="text-soft">Another way to reach them</dt>
            <dd dir="auto">{patient.contact || 'not written'}</dd>
          </dl>
        )}
        <h2 className="pt-6 text-xl">How to reach the patient</h2>
        <DetailsForm patientId={patient.id} {...details} key={details.basedOn} />
        <LanguageChoice
          patientId={patient.id}
          language={patient.language}
          languages={offeredLanguages()}
        />
        {corrections.length > 0 && (
          <>
            <h3 className="pt-3 font-semibold">What was put right</h3>
            <ul className="divide-y divide-hair border-y border-hair">
              {corrections.map(({ key, at, by, field, before, after }) => (
                <li key={key} className="py-2">
                  {when.format(at)}, <bdi>{by}</bdi>: {field} from{' '}
                  <q>
                    <bdi>{before || 'nothing'}</bdi>
                  </q>{' '}
                  to{' '}
                  <q>
                    <bdi>{after || 'nothing'}</bdi>
                  </q>
                </li>
              ))}
            </ul>
          </>
        )}
      </section>
      <div className="grid content-start gap-10">
        <section className="grid gap-3">
          <h2 className="text-xl">The patient’s devices</h2>
          <p className="text-soft">
            A new link can be opened for {clinic.linkDays} days; a device that is not used for{' '}
            {clinic.deviceDays} days is signed out.
          </p>
          <DeviceList
            patientId={patient.id}
            allowed={member.issuesLinks}
            devices={devices.map(({ id, since, lastUsed }) => ({
              id,
              since: when.format(since),
              lastUsed: lastUsed === null ? null : when.format(lastUsed),
            }))}
          />
        </section>
        {givers && (
          <section className="grid gap-1">
            <h2 className="text-xl">Whose patient</h2>
            <p dir="auto">{givers.from.name}</p>
            <HandOver {...givers} patientId={patient.id} what="this patient" />
          </section>
        )}
        {roleSuffices(member.role, 'practitioner') && (
          <section className="grid gap-2">
            <h2 className="text-xl">Archive</h2>
            <ArchiveButton patientId={patient.id} archived={patient.archivedAt !== null} />
          </section>
        )}
        {roleSuffices(member.role, 'practitioner') && (
          <section className="grid gap-2">
            <h2 className="text-xl">Take along</h2>
            <WholeRecordOut patientId={patient.id} />
          </section>
        )}
        {roleSuffices(member.role, 'practitioner') && (
          <section className="grid gap-2">
            <h2 className="text-xl">Measured elsewhere</h2>
            <ForeignRecordIn patientId={patient.id} />
          </section>
        )}
        <section className="grid justify-items-start gap-3">
          <h2 className="text-xl">Looking and erasing</h2>
          <QuietLink href={`/patients/${patient.id}/looks`} className="text-action underline">
            Who looked at this file
          </QuietLink>
          {member.role === 'lead' && (
            <QuietLink href={`/patients/${patient.id}/erase`} className={buttonClass()}>
              Erase this record …
            </QuietLink>
          )}
        </section>
      </div>
    </div>
  );
}
