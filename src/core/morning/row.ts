import { type DayAdherence, summarise } from '../adherence';
import {
  GOOD_ADHERENCE,
  PAIN_MATTERS,
  type Reading,
  daysSpreading,
  isLevelCourse,
  standsAt,
} from '../follow';
import { adherenceHistory, firstDay, isPausedOn, worstPain } from '../history';
import { type Choice, type FollowRecord, limbSeries, openProposals, outlook } from '../outlook';
import { flaggedLines } from '../programme';
import { MOVE_CLASS, isDanger, isGrowth } from '../progression';
import { type Instant, dayBegins, later } from '../schedule';
import { PRECAUTIONS } from '../screen';
import {
  ALERT_REASONS,
  type MorningRow,
  type OpenAlert,
  type TriageFacts,
  type TriageLimits,
  triage,
} from '../triage';
import { HOUR_MS, type LocalDate, addDays, daysBetween, textOrder } from '../units';
import type { Alert, HandedLink, MorningFacts } from './facts';

/** Ribs of a patient's small lantern: so many days, today the newest. */
export const LANTERN_DAYS = 14;

/**
 * Worst pain up to this leaves nothing to improve: a course without change there is no plateau.
 * 0–2 of 10 is called safe during exercise (Thomeé 1997, from memory).
 */
export const NOTHING_LEFT_PAIN = 2;

const DAY_MS = 24 * HOUR_MS;

/** What a row needs beside the patient. */
export type MorningContext = {
  readonly limits: TriageLimits;
  /** Days after which a screening asks to be redone. */
  readonly screeningDays: number;
  readonly catalogue: Choice;
  readonly now: Instant;
};

/** A patient's row of the morning list, from everything that is known of them. */
export function morningRow(facts: MorningFacts, context: MorningContext): MorningRow {
  const { today } = facts.record.facts;
  const days = fourWeeks(facts);
  const found = triage(triageFacts(facts, context, days), context.limits);
  const { mark } = facts;
  const stands = mark !== null && mark.rule === (found.rule ?? '') && mark.until >= today;
  return {
    ...found,
    complaint: facts.complaint,
    days: since(days, addDays(today, 1 - LANTERN_DAYS)),
    alerts: facts.alerts.map((alert) => openAlert(alert, context)),
    lastSession: facts.lastSession,
    lastPain: facts.lastPain,
    aside:
      stands && mark.kind !== 'back'
        ? { kind: mark.kind, until: mark.until, reason: mark.reason }
        : null,
  };
}

/**
 * Until when a row holds: the patient's next midnight, or the moment an alert goes to the lead.
 */
export function rowHoldsUntil(
  { record: { facts }, alerts }: Pick<MorningFacts, 'record' | 'alerts'>,
  context: Pick<MorningContext, 'limits' | 'now'>,
): Instant {
  const midnight = dayBegins(facts.zone, addDays(facts.today, 1));
  const escalations = alerts
    .filter((alert) => !isEscalated(alert, context))
    .map(({ createdAt }) => later(createdAt, context.limits.escalateHours * HOUR_MS + 1));
  return Math.min(midnight, ...escalations) as Instant;
}

function isEscalated(
  { escalatedAt, createdAt }: Alert,
  { now, limits }: Pick<MorningContext, 'limits' | 'now'>,
): boolean {
  return escalatedAt !== null || now - createdAt > limits.escalateHours * HOUR_MS;
}

function openAlert(alert: Alert, context: MorningContext): OpenAlert {
  const { id, kind, createdAt } = alert;
  return { id, kind, createdAt, escalated: isEscalated(alert, context) };
}

/** The lantern's fortnight and the one before it: both are read more than once. */
function fourWeeks({ record: { facts } }: MorningFacts): readonly DayAdherence[] {
  return adherenceHistory(facts, addDays(facts.today, 1 - 2 * LANTERN_DAYS), facts.today);
}

const since = (days: readonly DayAdherence[], from: LocalDate) =>
  days.filter(({ date }) => date >= from);

/**
 * What triage's rules read.
 *
 * @param days the last four weeks, where they are known already
 */
export function triageFacts(
  facts: MorningFacts,
  context: MorningContext,
  days: readonly DayAdherence[] = fourWeeks(facts),
): TriageFacts {
  const { record, alerts, openReferrals, closed } = facts;
  const { limits, now, screeningDays } = context;
  const { today, pauses, versions } = record.facts;
  const lantern = addDays(today, 1 - LANTERN_DAYS);
  const fortnight = summarise(since(days, lantern));
  const before = summarise(days.filter(({ date }) => date < lantern));
  const painsFrom = addDays(today, 1 - limits.painDays);
  const lately = [...record.reports]
    .filter(([date]) => date >= painsFrom)
    .sort(([a], [b]) => textOrder(a, b));
  const proposals = openProposals(record, outlook(record, context.catalogue, limits));
  const unopenedSince = unopened(facts.link);
  const [alert] = alerts;
  return {
    today,
    alert: alert
      ? {
          kind: alert.kind,
          say:
            ALERT_REASONS[alert.kind] +
            (isEscalated(alert, context) ? ' Not taken in time; passed to the lead.' : ''),
          hoursOpen: Math.floor((now - alert.createdAt) / HOUR_MS),
        }
      : null,
    awaitsAnswer: openReferrals.length > 0,
    prescribed: versions.length > 0,
    discharged: closed,
    paused: isPausedOn(pauses, today) || pauses.some(({ to }) => to === null),
    pains: lately.flatMap(([, report]) => worstPain(report) ?? []),
    flares: lately.filter(([, { soreness }]) => soreness === 'flare').length,
    spreading: spreadingIn(record),
    flagged: flaggedLines(
      versions.at(-1)?.lines ?? [],
      record.precautions,
      context.catalogue.byId,
    ).map(({ name, precaution }) => ({ name, precaution: PRECAUTIONS[precaution].name })),
    ready: proposals.filter(isGrowth).length,
    easier: proposals.filter(isDanger).length,
    asking: proposals.filter(({ move }) => MOVE_CLASS[move] === 'ask').length,
    share: fortnight.share,
    shareBefore: before.share,
    sessionsDone: fortnight.sessionsDone,
    sessionsDue: fortnight.sessionsDue,
    silentDays: unopenedSince === null ? silentDays(record, facts.lastSession) : null,
    // A course says nothing of a dose that was not done, so that it need not be fitted.
    plateauWeeks:
      (fortnight.share ?? 0) >= GOOD_ADHERENCE
        ? plateauWeeks(record, fortnight.share, limits)
        : null,
    reviewOn: versions.at(-1)?.reviewOn ?? null,
    screeningAge: record.screenedOn === null ? null : daysBetween(record.screenedOn, today),
    screeningDays,
    unopenedDays: unopenedSince === null ? null : Math.floor((now - unopenedSince) / DAY_MS),
  };
}

/** Since when a link lies unopened; null where it was opened or revoked, or none was handed over. */
function unopened(link: HandedLink | null): Instant | null {
  return link && link.revokedAt === null && link.openedAt === null ? link.createdAt : null;
}

/** The limb that goes beyond its usual for the longest run of days up to the newest. */
function spreadingIn({ reports }: FollowRecord): TriageFacts['spreading'] {
  const worst = limbSeries(reports)
    .map(({ limb, readings }) => ({
      limb: `${limb.side} ${limb.chain}`,
      days: daysSpreading(readings),
    }))
    .sort((a, b) => b.days - a.days)[0];
  return worst && worst.days > 0 ? worst : null;
}

/**
 * Whole days without a word while something was due; null before the programme begins. The first
 * day of the programme counts as heard.
 */
export function silentDays(
  { facts }: Pick<FollowRecord, 'facts'>,
  lastHeard: LocalDate | null,
): number | null {
  const { today, versions } = facts;
  const start = firstDay(versions);
  if (start === null || start > today) return null;
  const heard = lastHeard !== null && lastHeard > start ? lastHeard : addDays(start, -1);
  const due = adherenceHistory(facts, addDays(heard, 1), addDays(today, -1)).some(
    ({ kind }) => kind === 'due',
  );
  return due ? daysBetween(heard, today) - 1 : 0;
}

/**
 * Weeks without clear change in pain that leaves something to improve; null where that is not so, or
 * where too little of the dose was done for it to say anything of the dose.
 */
export function plateauWeeks(
  { facts, reports }: Pick<FollowRecord, 'facts' | 'reports'>,
  share: number | null,
  { plateauWeeks: weeks }: Pick<TriageLimits, 'plateauWeeks'>,
): number | null {
  const start = firstDay(facts.versions);
  const from = addDays(facts.today, -7 * weeks);
  if (share === null || start === null || start > from) return null;
  return isPainLevel(reports, from) ? weeks : null;
}

/** Reports never change, and a row is made anew with most events: whether their pain is level is found once. */
const levels = new WeakMap<FollowRecord['reports'], { from: LocalDate; isLevel: boolean }>();

/** Whether the pain told since a day leaves something to improve and does not change. */
function isPainLevel(reports: FollowRecord['reports'], from: LocalDate): boolean {
  const known = levels.get(reports);
  if (known?.from === from) return known.isLevel;
  const readings = [...reports].flatMap(([date, report]): Reading[] => {
    const value = worstPain(report);
    return value === null || date < from ? [] : [{ date, value }];
  });
  // The middle first: a course is looked at only where something is left to improve.
  const isLevel =
    (standsAt(readings) ?? 0) > NOTHING_LEFT_PAIN && isLevelCourse(readings, PAIN_MATTERS) === true;
  levels.set(reports, { from, isLevel });
  return isLevel;
}
