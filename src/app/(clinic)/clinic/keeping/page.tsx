import type { Metadata } from 'next';
import { QuietLink } from '@/ui/primitives/quiet-link';
import { clinicOf } from '@/server/clinic';
import { erasedAt, keptLongEnough } from '@/server/erase';
import { openingsFor } from '@/server/files';
import { requireRole } from '@/server/require';
import { KeepingForm } from '@/ui/record/keeping-form';
import { legible } from '@/app/legible';

export const metadata: Metadata = { title: 'Record keeping' };

export default legible(KeepingPage);

const SECTION = 'grid content-start gap-3';
const LIST = 'divide-y divide-hair border-y border-hair';

async function KeepingPage() {
  const lead = await requireRole('lead');
  const [clinic, old, erased, openings] = await Promise.all([
    clinicOf(lead),
    keptLongEnough(lead),
    erasedAt(lead),
    openingsFor(lead),
  ]);
  const day = new Intl.DateTimeFormat('en-GB', { dateStyle: 'medium', timeZone: clinic.zone });
  const moment = new Intl.DateTimeFormat('en-GB', {
    dateStyle: 'medium',
    timeStyle: 'short',
    timeZone: clinic.zone,
  });
  return (
    <>
      <h1 className="border-b border-hair pb-3 text-2xl">Record keeping</h1>
      <div className="grid gap-10 pt-4 lg:grid-cols-2">
        <section className={SECTION}>
          <h2 className="text-lg">Rules</h2>
          <KeepingForm start={clinic} />
        </section>
        <div className="grid content-start gap-10">
          <section className={SECTION}>
            <h2 className="text-lg">Kept as long as you want</h2>
            {clinic.keepYears === null ? (
              <p className="text-soft">No time is set: records are kept for ever.</p>
            ) : old.length === 0 ? (
              <p className="text-soft">
                No record’s last entry is older than{' '}
                {clinic.keepYears === 1 ? 'a year' : `${clinic.keepYears} years`}.
              </p>
            ) : (
              <ul className={LIST}>
                {old.map(({ id, name, last }) => (
                  <li key={id} className="flex flex-wrap items-baseline gap-3 py-2">
                    <span className="mr-auto" dir="auto">
                      {name}
                    </span>
                    <span className="text-soft">last entry {day.format(last)}</span>
                    <QuietLink href={`/patients/${id}/erase`} className="text-action underline">
                      Look, then erase<span className="sr-only"> the record of {name}</span>
                    </QuietLink>
                  </li>
                ))}
              </ul>
            )}
          </section>
          <section className={SECTION}>
            <h2 className="text-lg">Closed files that were opened</h2>
            {openings.length === 0 ? (
              <p className="text-soft">None was opened.</p>
            ) : (
              <ul className={LIST}>
                {openings.map(({ id, at, reason, patient, patientId, by }) => (
                  <li key={id} className="grid gap-1 py-2">
                    <span>
                      <bdi>{by}</bdi> opened the file of{' '}
                      <QuietLink href={`/patients/${patientId}`} className="text-action underline">
                        <bdi>{patient}</bdi>
                      </QuietLink>
                      , {moment.format(at)}
                    </span>
                    <span className="text-soft" dir="auto">
                      {reason}
                    </span>
                  </li>
                ))}
              </ul>
            )}
          </section>
          <section className={SECTION}>
            <h2 className="text-lg">Erased records</h2>
            {erased.length === 0 ? (
              <p className="text-soft">None was erased.</p>
            ) : (
              <ul className={LIST}>
                {erased.map(({ id, at, by, reason }) => (
                  <li key={id} className="py-2">
                    {moment.format(at)}, by <bdi>{by}</bdi>: {reason}
                  </li>
                ))}
              </ul>
            )}
          </section>
        </div>
      </div>
    </>
  );
}
