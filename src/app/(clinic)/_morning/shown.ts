import { ENGLISH, sayerOf } from '@/catalogue';
import { dialled } from '@/core/identity';
import { LANTERN_DAYS } from '@/core/morning';
import { clockText, toHundredth } from '@/core/units';
import { contactSaid, daySaid, isCallDone } from '@/core/visits';
import type { PatientRow } from '@/server/morning-list';
import { type SayDays, describeDays, ribOfDay } from '@/ui/lantern/rib';
import type { ShownRow } from '@/ui/triage/morning-row';

const SAY_DAYS: SayDays = sayerOf(ENGLISH);

/** A row of the list in the words it is shown by. */
export function shownRow(row: PatientRow): ShownRow {
  const { today, lastPain, lastSession, nextVisit, contact, aside, rule, phone } = row;
  const ribs = row.days.map(ribOfDay);
  const calls = row.level === 'call today';
  return {
    patientId: row.patientId,
    name: row.name,
    complaint: row.complaint,
    reason: row.reason,
    also: row.also.join(' '),
    rule: rule ?? '',
    next: rule === null ? 'Open' : row.next,
    step: row.step,
    ribs: ribs.map(({ kind, share }) => (kind === 'lit' ? toHundredth(share) : kind)),
    isDueToday: ribs.at(-1)?.isNow ?? false,
    days: `Last ${LANTERN_DAYS} days. ${describeDays(row.days, SAY_DAYS)}`,
    alerts: row.alerts.map(({ id, kind, escalated }) => ({ id, kind, escalated })),
    heard: lastSession === null ? 'No session' : `Last heard ${daySaid(lastSession, today)}`,
    pain: lastPain === null ? '' : `Pain ${lastPain.pain} of 10`,
    nextVisit:
      nextVisit === null
        ? ''
        : `Next ${daySaid(nextVisit.date, today)}${nextVisit.minute === null ? '' : ` ${clockText(nextVisit.minute)}`}`,
    phone: calls && phone !== null ? { number: phone, href: dialled(phone) } : null,
    contact: contact && { said: contactSaid(contact), agreed: contact.agreed },
    aside: aside && {
      said:
        aside.kind === 'done' ? 'Done for today.' : `Waits until ${daySaid(aside.until, today)}:`,
      reason: aside.reason,
    },
    isDone: calls && contact !== null && isCallDone({ contact, alerts: row.alerts }),
  };
}
