import { clockText } from '@/core/units';
import { requireMember } from '@/server/require';
import { LANTERN_DAYS } from '@/core/morning';
import type { Metadata } from 'next';
import { z } from 'zod';
import { dialled } from '@/core/identity';
import { LEVELS, type Level } from '@/core/triage';
import { contactSaid, daySaid, isCallDone } from '@/core/visits';
import { roleSuffices } from '@/server/access';
import { backupWarning } from '@/server/backups';
import { writtenAhead } from '@/server/clock-look';
import { clinicOf } from '@/server/clinic';
import { coversFor } from '@/server/cover';
import { firstStepsOf } from '@/server/first-steps';
import { FirstSteps } from '@/ui/clinic/first-steps';
import { BackupNotice } from '@/ui/clinic/backup-notice';
import {
  type MorningGroup,
  type MorningList,
  type PatientRow as Row,
  morningList,
} from '@/server/morning-list';
import { AlertLine } from '@/ui/forms/alert-line';
import { Lantern } from '@/ui/lantern/lantern';
import { describeDays, ribOfDay } from '@/ui/lantern/rib';
import { buttonClass } from '@/ui/primitives/button';
import { INPUT_CLASS } from '@/ui/primitives/field';
import { QuietLink } from '@/ui/primitives/quiet-link';
import { PutAside } from '@/ui/triage/put-aside';
import { legible } from '@/app/legible';

export const metadata: Metadata = { title: 'Morning list' };

const Query = z.object({
  name: z.string().max(200).catch(''),
  page: z.coerce.number().int().min(1).catch(1),
  whose: z.uuid().nullable().catch(null),
  group: z
    .enum([...LEVELS, 'aside'])
    .nullable()
    .catch(null),
});
type Query = z.infer<typeof Query>;

export default legible(MorningPage);

async function MorningPage({ searchParams }: PageProps<'/'>) {
  const member = await requireMember();
  const query = Query.parse(await searchParams);
  const { name, page, whose, group } = query;
  const list = await morningList(member, {
    search: name.trim(),
    practitionerId: whose,
    group,
    page,
  });
  const mayAct = roleSuffices(member.role, 'practitioner');
  const leads = member.role === 'lead';
  const backups = leads ? backupWarning() : null;
  const [left, covers] = await Promise.all([firstStepsOf(member), coversFor(member)]);
  const ahead = leads ? await writtenAhead(member) : null;
  return (
    <>
      {ahead !== null && (
        <p className="mb-3 border-l-2 border-stop pl-2" role="status">
          The record holds entries of {new Date(ahead).toISOString().slice(0, 16).replace('T', ' ')}{' '}
          UTC, which is yet to come: the clock of this machine is wrong, or was. Whoever looks after
          the server sets it right; what was written meanwhile keeps its dates (see Audit).
        </p>
      )}
      <FirstSteps left={left} />
      {backups && !left.includes('backup') && (
        <div className="pb-3" role="status">
          <BackupNotice state={backups} zone={(await clinicOf(member)).zone} />
        </div>
      )}
      <div className="flex flex-wrap items-end gap-3 border-b border-hair pb-3">
        <h1 className="mr-auto text-2xl">Morning list</h1>
        <form action="/" className="flex items-end gap-2" role="search">
          {whose && <input type="hidden" name="whose" value={whose} />}
          <label htmlFor="name" className="grid gap-1">
            <span className="text-small text-soft">Narrow by name</span>
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
        {mayAct && (
          <QuietLink href="/patients/import" className={buttonClass()}>
            From elsewhere
          </QuietLink>
        )}
        {mayAct && (
          <QuietLink href="/patients/new" className={buttonClass('main')}>
            New patient
          </QuietLink>
        )}
      </div>
      <Whose list={list} query={query} />
      <Covers {...covers} memberId={member.id} query={query} />
      {list.waiting > 0 && (
        <p role="status" className="border-l-2 border-lit py-1 pl-3">
          {list.waiting} patients are still being reckoned; theirs are of before or missing.{' '}
          <QuietLink href={address(query, {})} className="text-action underline">
            Look again
          </QuietLink>
        </p>
      )}
      {list.total === 0 ? (
        <p className="py-10 text-soft">
          {name
            ? `Nobody’s name contains “${name}”.`
            : whose || group
              ? 'No patients here.'
              : 'No patients yet. Add the first with “New patient”, then write a programme as dose lines.'}
        </p>
      ) : (
        list.groups.map((one) => (
          <Group key={one.level ?? 'aside'} group={one} query={query} mayAct={mayAct} />
        ))
      )}
      <Pages list={list} query={query} />
    </>
  );
}

function address(query: Query, change: Partial<Query>): string {
  const { name, page, whose, group } = { ...query, page: 1, ...change };
  const parts = new URLSearchParams({
    ...(name ? { name } : {}),
    ...(whose ? { whose } : {}),
    ...(group ? { group } : {}),
    ...(page > 1 ? { page: String(page) } : {}),
  }).toString();
  return parts === '' ? '/' : `/?${parts}`;
}

/** Who is away today, and who answers for them. */
function Covers({
  today,
  covers,
  memberId,
  query,
}: Awaited<ReturnType<typeof coversFor>> & { memberId: string; query: Query }) {
  const now = covers.filter(({ fromDate }) => fromDate <= today);
  if (now.length === 0) return null;
  return (
    <ul className="pb-2">
      {now.map(({ id, memberId: away, coveredBy, toDate, ...names }) => (
        <li key={id} className="border-l-2 border-lit pl-3">
          <bdi>{names.away}</bdi> is away until {daySaid(toDate, today)};{' '}
          {coveredBy === memberId ? 'you answer.' : <>{names.by} answers.</>}{' '}
          <QuietLink href={address(query, { whose: away })} className="text-action underline">
            Their patients
          </QuietLink>
        </li>
      ))}
    </ul>
  );
}

/** Who has how much to do, and the way to one practitioner's list. */
function Whose({ list, query }: { list: MorningList; query: Query }) {
  if (list.counts.length === 0) return null;
  return (
    <nav aria-label="Whose patients" className="flex flex-wrap gap-x-5 gap-y-1 py-2 text-small">
      <QuietLink
        href={address(query, { whose: null })}
        aria-current={query.whose === null ? 'page' : undefined}
        className={query.whose === null ? 'font-semibold' : 'text-action hover:underline'}
      >
        Everybody’s
      </QuietLink>
      {list.counts.map(({ id, name, call, decide, steady }) => (
        <QuietLink
          key={id}
          href={address(query, { whose: id })}
          aria-current={query.whose === id ? 'page' : undefined}
          className={query.whose === id ? 'font-semibold' : 'text-action hover:underline'}
        >
          <span dir="auto">{name}</span>{' '}
          <span className="text-soft">
            {call} to call, {decide} to decide, {steady} steady
          </span>
        </QuietLink>
      ))}
    </nav>
  );
}

const GROUPS = {
  'call today': { title: 'Call today', mark: 'bg-stop' },
  decide: { title: 'Decide', mark: 'bg-action' },
  steady: { title: 'Steady', mark: 'bg-dark-rib' },
} as const satisfies Record<Level, { title: string; mark: string }>;

function Group({ group, query, mayAct }: { group: MorningGroup; query: Query; mayAct: boolean }) {
  const { level, rows, total } = group;
  if (total === 0 && (level === null || query.name !== '')) return null;
  const { title, mark } = level ? GROUPS[level] : { title: 'Put aside', mark: 'bg-hair' };
  const id = `group-${level?.replace(' ', '-') ?? 'aside'}`;
  return (
    <section aria-labelledby={id} className="pt-4">
      <h2 id={id} className="flex items-baseline gap-2 text-lg">
        <span aria-hidden className={`h-4 w-1.5 self-center rounded-sm ${mark}`} />
        {title} <span className="figures text-soft">{total}</span>
        {rows.length < total && query.group === null && (
          <QuietLink
            href={address(query, { group: level ?? 'aside' })}
            className="ml-auto text-small text-action hover:underline"
          >
            Show all {total}
          </QuietLink>
        )}
      </h2>
      {rows.length === 0 ? (
        <p className="py-2 text-soft">Nobody.</p>
      ) : (
        <ul className="divide-y divide-hair border-y border-hair">
          {rows.map((row) =>
            level === 'call today' && row.contact && isCallDone(row) ? (
              <DoneRow key={row.patientId} row={row} contact={row.contact} />
            ) : (
              <PatientRow key={row.patientId} row={row} mayAct={mayAct} />
            ),
          )}
        </ul>
      )}
    </section>
  );
}

/** A call that was made: one line with who and what, the reason still told, the file a step away. */
function DoneRow({ row, contact }: { row: Row; contact: NonNullable<Row['contact']> }) {
  return (
    <li className="flex flex-wrap items-baseline gap-x-4 py-1.5">
      <span aria-hidden className="text-soft">
        ✓
      </span>
      <QuietLink
        href={`/patients/${row.patientId}`}
        className="font-semibold text-action hover:underline"
        dir="auto"
      >
        {row.name}
      </QuietLink>
      <span className="min-w-0 grow">
        {contactSaid(contact)} <span dir="auto">{contact.agreed}</span>{' '}
        <span className="text-soft">{row.reason}</span>
      </span>
    </li>
  );
}

function PatientRow({ row, mayAct }: { row: Row; mayAct: boolean }) {
  const { patientId, name, lastPain, lastSession, alerts, also, aside } = row;
  return (
    <li className="grid grid-cols-[2.6rem_minmax(0,1fr)] items-center gap-x-4 gap-y-1 py-2 md:grid-cols-[2.6rem_minmax(0,1.2fr)_minmax(0,1.9fr)_7.5rem_minmax(0,1.6fr)]">
      <Lantern
        ribs={row.days.map(ribOfDay)}
        label={`Last ${LANTERN_DAYS} days. ${describeDays(row.days)}`}
        height={58}
      />
      <div className="min-w-0">
        <QuietLink
          href={`/patients/${patientId}`}
          className="font-semibold text-action hover:underline"
          dir="auto"
        >
          {name}
        </QuietLink>
        <p className="truncate text-soft" dir="auto" title={row.complaint}>
          {row.complaint}
        </p>
      </div>
      <div className="col-start-2 min-w-0 md:col-start-auto">
        {alerts.map((alert) => (
          <AlertLine
            key={alert.id}
            alertId={alert.id}
            kind={alert.kind}
            escalated={alert.escalated}
            mayAcknowledge={mayAct}
          />
        ))}
        <p>{row.reason}</p>
        {row.contact && (
          <p className="text-small">
            {contactSaid(row.contact)} <span dir="auto">{row.contact.agreed}</span>
          </p>
        )}
        {also.length > 0 && <p className="text-small text-soft">{also.join(' ')}</p>}
        {aside && (
          <p className="text-small text-soft">
            {aside.kind === 'done'
              ? 'Done for today.'
              : `Waits until ${daySaid(aside.until, row.today)}: `}
            <span dir="auto">{aside.reason}</span>
          </p>
        )}
      </div>
      <p className="col-start-2 text-small md:col-start-auto">
        <span className="block text-soft">
          {lastSession === null ? 'No session' : `Heard ${daySaid(lastSession, row.today)}`}
        </span>
        <span className="text-plum">{lastPain === null ? '' : `Pain ${lastPain.pain} of 10`}</span>
        {row.nextVisit && (
          <span className="block text-soft">
            Next {daySaid(row.nextVisit.date, row.today)}
            {row.nextVisit.minute !== null && ` ${clockText(row.nextVisit.minute)}`}
          </span>
        )}
      </p>
      <div className="col-start-2 flex flex-wrap items-center gap-3 md:col-start-auto md:justify-end">
        <QuietLink
          href={`/patients/${patientId}/${row.step}`}
          className="py-1 text-action hover:underline"
          aria-label={`${row.next}: ${name}`}
        >
          {row.rule === null ? 'Open' : row.next}
        </QuietLink>
        {row.level === 'call today' && row.phone !== null && (
          <a
            href={dialled(row.phone)}
            className="py-1 whitespace-nowrap text-action hover:underline"
            aria-label={`Dial ${row.phone}: ${name}`}
          >
            {row.phone}
          </a>
        )}
        {mayAct && (row.rule !== null || aside) && (
          <PutAside
            patientId={patientId}
            name={name}
            rule={row.rule ?? ''}
            aside={aside !== null}
          />
        )}
      </div>
    </li>
  );
}

function Pages({ list, query }: { list: MorningList; query: Query }) {
  return (
    <nav aria-label="Pages" className="flex items-center gap-4 pt-3 text-soft">
      <span>
        {list.total} {list.total === 1 ? 'patient' : 'patients'}
        {list.pages > 1 && `, page ${list.page} of ${list.pages}`}
      </span>
      {query.group !== null && (
        <QuietLink href={address(query, { group: null })} className="text-action hover:underline">
          All groups
        </QuietLink>
      )}
      {list.page > 1 && (
        <QuietLink
          href={address(query, { page: list.page - 1 })}
          className="text-action hover:underline"
        >
          Before
        </QuietLink>
      )}
      {list.page < list.pages && (
        <QuietLink
          href={address(query, { page: list.page + 1 })}
          className="text-action hover:underline"
        >
          Next
        </QuietLink>
      )}
    </nav>
  );
}
