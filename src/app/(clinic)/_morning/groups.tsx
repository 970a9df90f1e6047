import { dialled } from '@/core/identity';
import { LANTERN_DAYS } from '@/core/morning';
import type { Level } from '@/core/triage';
import { clockText } from '@/core/units';
import { contactSaid, daySaid, isCallDone } from '@/core/visits';
import type { MorningGroup, PatientRow as Row } from '@/server/morning-list';
import { AlertLine } from '@/ui/forms/alert-line';
import { Lantern } from '@/ui/lantern/lantern';
import { type SayDays, describeDays, ribOfDay } from '@/ui/lantern/rib';
import { ENGLISH, sayerOf } from '@/catalogue';
import { QuietLink } from '@/ui/primitives/quiet-link';
import { PutAside } from '@/ui/triage/put-aside';
import { type Query, address } from './query';

const SAY_DAYS: SayDays = sayerOf(ENGLISH);

const GROUPS = {
  'call today': { title: 'Call today', mark: 'bg-stop' },
  decide: { title: 'Decide', mark: 'bg-action' },
  steady: { title: 'Steady', mark: 'bg-dark-rib' },
} as const satisfies Record<Level, { title: string; mark: string }>;

/** One group of the list, what cannot wait first. */
export function Group({
  group,
  query,
  mayAct,
}: {
  group: MorningGroup;
  query: Query;
  mayAct: boolean;
}) {
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
        label={`Last ${LANTERN_DAYS} days. ${describeDays(row.days, SAY_DAYS)}`}
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
          {lastSession === null ? 'No session' : `Last heard ${daySaid(lastSession, row.today)}`}
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
