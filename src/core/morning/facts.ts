import type { DayDone, DayReport, Pause } from '../history';
import type { Decided, FollowRecord } from '../outlook';
import { openFaults } from '../outlook';
import type { SentVersion } from '../programme';
import type { HomeBody, TaughtLine } from '../records';
import type { Instant } from '../schedule';
import type { PrecautionId } from '../screen';
import type { AlertKind } from '../triage';
import { type LocalDate, addDays } from '../units';

/**
 * Days of records that triage and progression read: a plateau is six weeks long, and so is the memory of
 * a dose that went wrong, which is looked for behind as many good ones.
 */
export const TRIAGE_DAYS = 84;

export type Alert = {
  readonly id: string;
  readonly kind: AlertKind;
  readonly createdAt: Instant;
  readonly escalatedAt: Instant | null;
};

export type HandedLink = {
  readonly createdAt: Instant;
  readonly openedAt: Instant | null;
  readonly revokedAt: Instant | null;
};

/** A row put aside for a rule until a day, included; or taken back. */
export type Mark = {
  readonly kind: 'done' | 'snoozed' | 'back';
  readonly rule: string;
  readonly until: LocalDate;
  readonly reason: string;
};

/**
 * Everything the morning list reads of one patient, as one value. It is read from the record once,
 * and every later event brings it up to date (`withEvent`); recomputing it is the test, not the way.
 */
export type MorningFacts = {
  readonly record: FollowRecord;
  readonly complaint: string;
  /** Discharged: nothing is followed any more. */
  readonly closed: boolean;
  /** Nobody has taken them, oldest first. */
  readonly alerts: readonly Alert[];
  /** Referrals without an answer. */
  readonly openReferrals: readonly string[];
  /** The newest link that was handed over. */
  readonly link: HandedLink | null;
  readonly mark: Mark | null;
  /** The newest day anything was told of. */
  readonly lastSession: LocalDate | null;
  readonly lastPain: { readonly date: LocalDate; readonly pain: number } | null;
};

/** What can happen that the morning list has to know of. */
export type MorningEvent =
  | {
      readonly type: 'day folded';
      readonly date: LocalDate;
      readonly done: DayDone;
      /** After its last session, 0–10. */
      readonly pain: number | null;
      readonly report: DayReport;
    }
  | { readonly type: 'alert raised'; readonly alert: Alert }
  | { readonly type: 'alert taken'; readonly id: string }
  | { readonly type: 'alert escalated'; readonly id: string; readonly at: Instant }
  | { readonly type: 'paused'; readonly pause: Pause }
  /** Open pauses end with this day. */
  | { readonly type: 'resumed'; readonly lastDay: LocalDate }
  | { readonly type: 'version sent'; readonly version: SentVersion }
  | {
      readonly type: 'screened';
      readonly on: LocalDate;
      readonly precautions: readonly PrecautionId[];
    }
  | { readonly type: 'referred'; readonly id: string }
  | { readonly type: 'answered'; readonly id: string }
  | { readonly type: 'link handed over'; readonly link: HandedLink }
  | { readonly type: 'link opened'; readonly at: Instant }
  | { readonly type: 'link revoked'; readonly at: Instant }
  | { readonly type: 'decided'; readonly decision: Decided }
  | { readonly type: 'put aside'; readonly mark: Mark }
  | { readonly type: 'taught'; readonly lines: readonly TaughtLine[] }
  | { readonly type: 'home told'; readonly home: HomeBody }
  | { readonly type: 'nerves examined'; readonly deficitSince: LocalDate | null }
  | { readonly type: 'step felt'; readonly stepSlides: boolean }
  | { readonly type: 'episode opened'; readonly complaint: string }
  | { readonly type: 'episode closed' }
  | { readonly type: 'day begun'; readonly today: LocalDate };

/** The facts after one more event; the given ones stay as they are. */
export function withEvent(facts: MorningFacts, event: MorningEvent): MorningFacts {
  const { record } = facts;
  switch (event.type) {
    case 'day folded':
      return withDay(facts, event);
    case 'alert raised':
      return facts.alerts.some(({ id }) => id === event.alert.id)
        ? facts
        : { ...facts, alerts: [...facts.alerts, event.alert] };
    case 'alert taken':
      return { ...facts, alerts: facts.alerts.filter(({ id }) => id !== event.id) };
    case 'alert escalated':
      return {
        ...facts,
        alerts: facts.alerts.map((alert) =>
          alert.id === event.id ? { ...alert, escalatedAt: alert.escalatedAt ?? event.at } : alert,
        ),
      };
    case 'paused':
      return withFacts(facts, { pauses: [...record.facts.pauses, event.pause] });
    case 'resumed':
      return withFacts(facts, {
        pauses: record.facts.pauses.map((pause) =>
          pause.to === null ? { ...pause, to: event.lastDay } : pause,
        ),
      });
    case 'version sent':
      return withFacts(facts, { versions: [...record.facts.versions, event.version] });
    case 'screened':
      return withRecord(facts, { screenedOn: event.on, precautions: event.precautions });
    case 'referred':
      return { ...facts, openReferrals: [...facts.openReferrals, event.id] };
    case 'answered':
      return { ...facts, openReferrals: facts.openReferrals.filter((id) => id !== event.id) };
    case 'link handed over':
      return { ...facts, link: event.link };
    case 'link opened':
      return withLink(facts, (link) => ({ ...link, openedAt: link.openedAt ?? event.at }));
    case 'link revoked':
      return withLink(facts, (link) => ({ ...link, revokedAt: link.revokedAt ?? event.at }));
    case 'decided':
      return withRecord(facts, { decisions: [event.decision, ...record.decisions] });
    case 'put aside':
      return { ...facts, mark: event.mark };
    case 'taught':
      return withRecord(facts, { faults: openFaults(event.lines) });
    case 'home told':
      return withRecord(facts, { home: event.home });
    case 'nerves examined':
      return withRecord(facts, { deficitSince: event.deficitSince });
    case 'step felt':
      return withRecord(facts, { stepSlides: event.stepSlides });
    case 'episode opened':
      return { ...facts, complaint: event.complaint, closed: false };
    case 'episode closed':
      return { ...facts, closed: true };
    case 'day begun':
      return withToday(facts, event.today);
  }
}

const withRecord = (facts: MorningFacts, change: Partial<FollowRecord>): MorningFacts => ({
  ...facts,
  record: { ...facts.record, ...change },
});

const withFacts = (facts: MorningFacts, change: Partial<FollowRecord['facts']>): MorningFacts =>
  withRecord(facts, { facts: { ...facts.record.facts, ...change } });

function withLink(facts: MorningFacts, change: (link: HandedLink) => HandedLink): MorningFacts {
  return facts.link ? { ...facts, link: change(facts.link) } : facts;
}

function withDay(
  facts: MorningFacts,
  { date, done, pain, report }: Extract<MorningEvent, { type: 'day folded' }>,
): MorningFacts {
  const { lastSession, lastPain, record } = facts;
  const newer = lastPain === null || date >= lastPain.date;
  const told = record.reports.get(date);
  // Most events tell nothing of how it was: what is found of the reports holds on.
  const isTold = JSON.stringify(told) !== JSON.stringify(report);
  return {
    ...facts,
    record: {
      ...record,
      facts: { ...record.facts, done: new Map(record.facts.done).set(date, done) },
      reports: isTold ? new Map(record.reports).set(date, report) : record.reports,
    },
    lastSession: lastSession === null || date > lastSession ? date : lastSession,
    lastPain: pain !== null && newer ? { date, pain } : lastPain,
  };
}

/** A new day: what is older than triage reads goes. */
function withToday(facts: MorningFacts, today: LocalDate): MorningFacts {
  const from = addDays(today, -TRIAGE_DAYS);
  const lately = <T>(days: ReadonlyMap<LocalDate, T>) =>
    new Map([...days].filter(([date]) => date >= from));
  const { record } = facts;
  return withRecord(withFacts(facts, { today, done: lately(record.facts.done) }), {
    reports: lately(record.reports),
  });
}
