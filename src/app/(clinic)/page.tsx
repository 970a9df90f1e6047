import type { Metadata } from 'next';
import Link from 'next/link';
import { z } from 'zod';
import { roleSuffices } from '@/server/access';
import { currentMember } from '@/server/current';
import { LANTERN_DAYS, type MorningRow, morningList } from '@/server/morning-list';
import { AlertLine } from '@/ui/forms/alert-line';
import { Lantern } from '@/ui/lantern/lantern';
import { describeDays, ribOfDay } from '@/ui/lantern/rib';
import { buttonClass } from '@/ui/primitives/button';
import { INPUT_CLASS } from '@/ui/primitives/field';

export const metadata: Metadata = { title: 'Morning list' };

const Query = z.object({
  name: z.string().max(200).catch(''),
  page: z.coerce.number().int().min(1).catch(1),
});

export default async function MorningPage({ searchParams }: PageProps<'/'>) {
  const member = await currentMember();
  if (!member) return null;
  const { name, page } = Query.parse(await searchParams);
  const list = await morningList(member, name.trim(), page);
  const mayAdd = roleSuffices(member.role, 'practitioner');
  return (
    <>
      <div className="flex flex-wrap items-end gap-3 border-b border-hair pb-3">
        <h1 className="mr-auto text-2xl">Morning list</h1>
        <form action="/" className="flex items-end gap-2" role="search">
          <label htmlFor="name" className="grid gap-1">
            <span className="text-[0.93em] text-soft">Find by name</span>
            <input
              id="name"
              name="name"
              type="search"
              defaultValue={name}
              className={INPUT_CLASS}
              maxLength={200}
            />
          </label>
          <button type="submit" className={buttonClass()}>
            Find
          </button>
        </form>
        {mayAdd && (
          <Link href="/patients/new" className={buttonClass('main')}>
            New patient
          </Link>
        )}
      </div>
      {list.rows.length === 0 ? (
        <p className="py-10 text-soft">
          {name
            ? `Nobody’s name contains “${name}”.`
            : 'No patients yet. Add the first with “New patient”, then write a programme as dose lines.'}
        </p>
      ) : (
        <ul className="divide-y divide-hair border-b border-hair">
          {list.rows.map((row) => (
            <PatientRow key={row.patient.id} row={row} mayAcknowledge={mayAdd} />
          ))}
        </ul>
      )}
      <Pages list={list} name={name} />
    </>
  );
}

function PatientRow({ row, mayAcknowledge }: { row: MorningRow; mayAcknowledge: boolean }) {
  const { patient, lastSession, lastPain } = row;
  return (
    <li className="grid grid-cols-[3.2rem_minmax(0,1fr)] items-center gap-x-4 py-2.5 md:grid-cols-[3.2rem_minmax(0,1.3fr)_minmax(0,2fr)_9rem_6rem_auto]">
      <Lantern
        ribs={row.days.map(ribOfDay)}
        label={`Last ${LANTERN_DAYS} days. ${describeDays(row.days)}`}
        height={74}
      />
      <div className="min-w-0">
        <Link
          href={`/patients/${patient.id}/follow`}
          className="font-semibold text-action hover:underline"
          dir="auto"
        >
          {patient.name}
        </Link>
        <p className="text-soft" dir="auto">
          {row.complaint}
        </p>
      </div>
      <div className="col-start-2 md:col-start-auto">
        {row.alerts.map((alert) => (
          <AlertLine
            key={alert.id}
            alertId={alert.id}
            kind={alert.kind}
            mayAcknowledge={mayAcknowledge}
          />
        ))}
        <p>{row.reason}</p>
      </div>
      <p className="col-start-2 md:col-start-auto">
        <span className="block text-[0.87em] text-soft">Last session</span>
        {lastSession === null
          ? '–'
          : lastSession.daysAgo === 0
            ? 'today'
            : `${lastSession.daysAgo} d ago`}
      </p>
      <p className="col-start-2 text-plum md:col-start-auto">
        <span className="block text-[0.87em] text-soft">Last pain</span>
        <span className="figures">{lastPain === null ? '–' : `${lastPain.pain} of 10`}</span>
      </p>
      <Link
        href={`/patients/${patient.id}/plan`}
        className="col-start-2 py-1 text-action hover:underline md:col-start-auto"
        aria-label={`Plan of ${patient.name}`}
      >
        Plan
      </Link>
    </li>
  );
}

function Pages({ list, name }: { list: Awaited<ReturnType<typeof morningList>>; name: string }) {
  const to = (page: number) =>
    `/?${new URLSearchParams({ ...(name ? { name } : {}), page: String(page) })}`;
  return (
    <nav aria-label="Pages" className="flex items-center gap-4 pt-3 text-soft">
      <span>
        {list.total} {list.total === 1 ? 'patient' : 'patients'}
        {list.pages > 1 && `, page ${list.page} of ${list.pages}`}
      </span>
      {list.page > 1 && (
        <Link href={to(list.page - 1)} className="text-action hover:underline">
          Before
        </Link>
      )}
      {list.page < list.pages && (
        <Link href={to(list.page + 1)} className="text-action hover:underline">
          Next
        </Link>
      )}
    </nav>
  );
}
