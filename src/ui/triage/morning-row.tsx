'use client';

import type { AlertKind } from '@/core/triage';
import type { PatientId } from '@/core/units';
import { AlertLine } from '../forms/alert-line';
import type { Rib } from '../lantern/rib';
import { SmallLantern } from '../lantern/small-lantern';
import { QuietLink } from '../primitives/quiet-link';
import { PutAside } from './put-aside';

/** One row of the morning list, in the words it is shown by. */
export type ShownRow = {
  readonly patientId: PatientId;
  readonly name: string;
  readonly complaint: string;
  readonly reason: string;
  /** What else is so; empty where nothing is. */
  readonly also: string;
  /** The rule it stands here by; empty where none. */
  readonly rule: string;
  /** What to do next, and the step of the file it is done at. */
  readonly next: string;
  readonly step: string;
  /** Its days, oldest first: the share that was done where something was due. */
  readonly ribs: readonly (number | Exclude<Rib['kind'], 'lit'>)[];
  /** Whether the newest day is today, with something due. */
  readonly isDueToday: boolean;
  readonly days: string;
  readonly alerts: readonly {
    readonly id: string;
    readonly kind: AlertKind;
    readonly escalated: boolean;
  }[];
  readonly heard: string;
  readonly pain: string;
  readonly nextVisit: string;
  /** The number to dial, as it stands and as a link; null where it is not offered. */
  readonly phone: { readonly number: string; readonly href: string } | null;
  /** What was said or written today, and what was agreed. */
  readonly contact: { readonly said: string; readonly agreed: string } | null;
  /** That it waits, and why. */
  readonly aside: { readonly said: string; readonly reason: string } | null;
  /** The call was made: one line is enough. */
  readonly isDone: boolean;
};

/**
 * The rows of one group. They come to the browser as what they say, and are drawn from it: as finished
 * markup each would be sent twice.
 */
export function MorningRows({ rows, mayAct }: { rows: readonly ShownRow[]; mayAct: boolean }) {
  return (
    <ul className="divide-y divide-hair border-y border-hair">
      {rows.map((row) =>
        row.isDone ? (
          <DoneRow key={row.patientId} row={row} />
        ) : (
          <Row key={row.patientId} row={row} mayAct={mayAct} />
        ),
      )}
    </ul>
  );
}

function ribsOf({ ribs, isDueToday }: ShownRow): Rib[] {
  return ribs.map((rib, index) => ({
    kind: typeof rib === 'number' ? 'lit' : rib,
    share: typeof rib === 'number' ? rib : 0,
    isNow: isDueToday && index === ribs.length - 1,
  }));
}

function Name({ row: { patientId, name } }: { row: ShownRow }) {
  return (
    <QuietLink href={`/patients/${patientId}`} className="row-name" dir="auto">
      {name}
    </QuietLink>
  );
}

/** A call that was made: one line with who and what, the reason still told, the file a step away. */
function DoneRow({ row }: { row: ShownRow }) {
  return (
    <li className="flex flex-wrap items-baseline gap-x-4 py-1.5">
      <span aria-hidden className="text-soft">
        ✓
      </span>
      <Name row={row} />
      <span className="min-w-0 grow">
        {row.contact?.said} <span dir="auto">{row.contact?.agreed}</span>{' '}
        <span className="text-soft">{row.reason}</span>
      </span>
    </li>
  );
}

function Row({ row, mayAct }: { row: ShownRow; mayAct: boolean }) {
  const { patientId, name, complaint, alerts, aside, contact, phone } = row;
  return (
    <li className="morning-row">
      <SmallLantern ribs={ribsOf(row)} label={row.days} height={58} />
      <div>
        <Name row={row} />
        <p className="truncate text-soft" dir="auto" title={complaint}>
          {complaint}
        </p>
      </div>
      <div>
        {alerts.map(({ id, kind, escalated }) => (
          <AlertLine
            key={id}
            alertId={id}
            kind={kind}
            escalated={escalated}
            mayAcknowledge={mayAct}
          />
        ))}
        <p>{row.reason}</p>
        {contact && (
          <p className="text-small">
            {contact.said} <span dir="auto">{contact.agreed}</span>
          </p>
        )}
        {row.also !== '' && <p className="text-small text-soft">{row.also}</p>}
        {aside && (
          <p className="text-small text-soft">
            {aside.said} <span dir="auto">{aside.reason}</span>
          </p>
        )}
      </div>
      <p className="text-small">
        <span>{row.heard}</span>
        {row.pain !== '' && <span className="text-plum">{row.pain}</span>}
        {row.nextVisit !== '' && <span>{row.nextVisit}</span>}
      </p>
      <div className="row-acts">
        <QuietLink
          href={`/patients/${patientId}/${row.step}`}
          className="row-act"
          aria-label={`${row.next}: ${name}`}
        >
          {row.next}
        </QuietLink>
        {phone && (
          <a href={phone.href} className="row-act" aria-label={`Dial ${phone.number}: ${name}`}>
            {phone.number}
          </a>
        )}
        {mayAct && (row.rule !== '' || aside !== null) && (
          <PutAside patientId={patientId} name={name} rule={row.rule} aside={aside !== null} />
        )}
      </div>
    </li>
  );
}
