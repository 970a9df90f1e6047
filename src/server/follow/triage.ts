import { type DayAdherence, summarise } from '@/core/adherence';
import { PAIN_MATTERS, type Reading, daysSpreading, judgeCourse } from '@/core/follow';
import { adherenceHistory, firstDay, isPausedOn, worstPain } from '@/core/history';
import { isGrowth } from '@/core/progression';
import { type WallMinute, instantAt } from '@/core/schedule';
import { LEVELS, type Triage, type TriageFacts, type TriageLimits, triage } from '@/core/triage';
import { type LocalDate, addDays, daysBetween } from '@/core/units';
import {
  type AlertKind,
  type Clinic,
  type Patient,
  type TriageRow,
  clinicById,
  newestEpisodesOf,
  newestLinksOf,
  newestMarksOf,
  newestOf,
  openAlertsOf,
  patientsAwaitingAnswer,
} from '@/db';
import { now } from '../clock';
import { NOT_FOUND, Problem } from '../problem';
import { todayOf, zoneOf } from '../programme-facts';
import {
  type FollowRecord,
  clinicContext,
  followRecords,
  limbSeries,
  limitsOf,
  openProposals,
  outlook,
} from './outlook';

/** Ribs of a patient's small lantern: so many days, today the newest. */
export const LANTERN_DAYS = 14;

/** Triage reads six weeks: a plateau is as long. */
const TRIAGE_DAYS = 42;

export type OpenAlert = {
  readonly id: string;
  readonly kind: AlertKind;
  readonly createdAt: number;
  /** Nobody took it within the clinic's time: it is the lead's. */
  readonly escalated: boolean;
};

/** A row of the morning list, as it is kept. */
export type TriageBody = Triage & {
  readonly complaint: string;
  readonly days: readonly DayAdherence[];
  readonly alerts: readonly OpenAlert[];
  readonly lastSession: LocalDate | null;
  readonly lastPain: { readonly date: LocalDate; readonly pain: number } | null;
  /** Why it was put aside, and until when; null where it was not. */
  readonly aside: {
    readonly kind: 'done' | 'snoozed';
    readonly until: LocalDate;
    readonly reason: string;
  } | null;
};

export const ALERT_REASONS: Readonly<Record<AlertKind, string>> = {
  'stopped for a symptom':
    'Stopped a session because something felt wrong; the programme is paused.',
  'conflicting log': 'A session was reported twice with different content; both are kept.',
  'new weakness': 'New weakness at the last examination, whatever the pain does.',
  'health answers': 'The patient’s own health answers ask for a look today.',
};

/** Where these patients stand now. */
export async function triageRows(
  clinicId: string,
  patients: readonly Patient[],
): Promise<TriageRow[]> {
  const ids = patients.map(({ id }) => id);
  const todays = patients.map(todayOf).sort();
  const first = todays[0] as LocalDate;
  const [clinic, context, records, alerts, awaiting, links, episodes, marks, newest] =
    await Promise.all([
      clinicById(clinicId),
      clinicContext(clinicId),
      followRecords(clinicId, patients, addDays(first, -TRIAGE_DAYS), todays.at(-1) as LocalDate),
      openAlertsOf(clinicId, ids),
      patientsAwaitingAnswer(clinicId, ids),
      newestLinksOf(clinicId, ids),
      newestEpisodesOf(clinicId, ids),
      newestMarksOf(clinicId, ids),
      newestOf(clinicId, ids),
    ]);
  if (!clinic) throw new Problem(404, NOT_FOUND);
  const limits = limitsOf(clinic);
  const alertsBy = new Map<string, typeof alerts>();
  for (const alert of alerts)
    alertsBy.set(alert.patientId, [...(alertsBy.get(alert.patientId) ?? []), alert]);
  return records.map((record): TriageRow => {
    const { patient, today } = record.facts;
    const own = (alertsBy.get(patient.id) ?? []).map(
      ({ id, kind, createdAt, escalatedAt }): OpenAlert => ({
        id,
        kind,
        createdAt,
        escalated: escalatedAt !== null || now() - createdAt > limits.escalateHours * HOUR_MS,
      }),
    );
    const link = links.get(patient.id);
    const facts = factsFor(record, limits, clinic, {
      alerts: own,
      awaitsAnswer: awaiting.has(patient.id),
      closed: episodes.get(patient.id)?.closedOn != null,
      unopenedSince:
        link && link.revokedAt === null && link.openedAt === null ? link.createdAt : null,
      proposals: openProposals(record, outlook(record, context.catalogue, limits)),
      lastHeard: (newest.session.get(patient.id) as LocalDate | undefined) ?? null,
    });
    const found = triage(facts, limits);
    const mark = marks.get(patient.id);
    const aside =
      mark && mark.kind !== 'back' && mark.rule === (found.rule ?? '') && mark.until >= today
        ? { kind: mark.kind, until: mark.until as LocalDate, reason: mark.reason }
        : null;
    const pain = newest.pain.get(patient.id);
    const body: TriageBody = {
      ...found,
      complaint: episodes.get(patient.id)?.complaint ?? '',
      days: adherenceHistory(record.facts, addDays(today, 1 - LANTERN_DAYS), today),
      alerts: own,
      lastSession: (newest.session.get(patient.id) as LocalDate | undefined) ?? null,
      lastPain: pain?.pain == null ? null : { date: pain.date as LocalDate, pain: pain.pain },
      aside,
    };
    return {
      clinicId,
      patientId: patient.id,
      forDate: today,
      staleAt: staleAt(patient, today, own, limits),
      level: LEVELS.indexOf(found.level),
      urgency: found.urgency,
      aside: aside !== null,
      practitionerId: patient.practitionerId,
      name: patient.name,
      body: JSON.stringify(body),
    };
  });
}

const HOUR_MS = 3_600_000;

/** The patient's next midnight, or the moment an alert goes to the lead. */
function staleAt(
  patient: Patient,
  today: LocalDate,
  alerts: readonly OpenAlert[],
  limits: TriageLimits,
): number {
  const midnight = instantAt(zoneOf(patient), addDays(today, 1), 0 as WallMinute);
  const escalations = alerts
    .filter(({ escalated }) => !escalated)
    .map(({ createdAt }) => createdAt + limits.escalateHours * HOUR_MS + 1);
  return Math.min(midnight, ...escalations);
}

type Beside = {
  readonly alerts: readonly OpenAlert[];
  readonly awaitsAnswer: boolean;
  readonly closed: boolean;
  readonly unopenedSince: number | null;
  readonly proposals: ReturnType<typeof openProposals>;
  readonly lastHeard: LocalDate | null;
};

function factsFor(
  record: FollowRecord,
  limits: TriageLimits,
  clinic: Clinic,
  beside: Beside,
): TriageFacts {
  const { facts, reports, screenedOn } = record;
  const { today, pauses, versions } = facts;
  const span = (from: number, to: number) =>
    summarise(adherenceHistory(facts, addDays(today, from), addDays(today, to)));
  const fortnight = span(1 - LANTERN_DAYS, 0);
  const before = span(1 - 2 * LANTERN_DAYS, -LANTERN_DAYS);
  const since = addDays(today, 1 - limits.painDays);
  const lately = [...reports].filter(([date]) => date >= since).sort();
  const [alert] = beside.alerts;
  const paused = isPausedOn(pauses, today) || pauses.some(({ to }) => to === null);
  return {
    today,
    alert: alert
      ? {
          kind: alert.kind,
          say:
            ALERT_REASONS[alert.kind] +
            (alert.escalated ? ' Nobody has taken it in time: the lead’s.' : ''),
          hoursOpen: Math.floor((now() - alert.createdAt) / HOUR_MS),
        }
      : null,
    awaitsAnswer: beside.awaitsAnswer,
    prescribed: versions.length > 0,
    discharged: beside.closed,
    paused,
    pains: lately.flatMap(([, report]) => worstPain(report) ?? []),
    flares: lately.filter(([, { soreness }]) => soreness === 'flare').length,
    spreading: spreadingIn(record),
    ready: beside.proposals.filter(isGrowth).length,
    easier: beside.proposals.filter((proposal) => !isGrowth(proposal)).length,
    share: fortnight.share,
    shareBefore: before.share,
    sessionsDone: fortnight.sessionsDone,
    sessionsDue: fortnight.sessionsDue,
    silentDays: silentDays(record, beside),
    plateauWeeks: plateauWeeks(record, fortnight.share, limits),
    reviewOn: versions.at(-1)?.reviewOn ?? null,
    screeningAge: screenedOn === null ? null : daysBetween(screenedOn, today),
    screeningDays: clinic.screeningDays,
    unopenedDays:
      beside.unopenedSince === null
        ? null
        : Math.floor((now() - beside.unopenedSince) / (24 * HOUR_MS)),
  };
}

function spreadingIn({ reports }: FollowRecord): TriageFacts['spreading'] {
  const worst = limbSeries(reports)
    .map(({ limb, readings }) => ({
      limb: `${limb.side} ${limb.chain}`,
      days: daysSpreading(readings),
    }))
    .sort((a, b) => b.days - a.days)[0];
  return worst && worst.days > 0 ? worst : null;
}

/** Days since a word came while something was due; the first day of the programme counts as heard. */
function silentDays({ facts }: FollowRecord, { lastHeard, unopenedSince }: Beside) {
  const { today, versions } = facts;
  const start = firstDay(versions);
  // One who never opened the link is asked about for that.
  if (start === null || start > today || unopenedSince !== null) return null;
  const heard = lastHeard !== null && lastHeard > start ? lastHeard : addDays(start, -1);
  const due = adherenceHistory(facts, addDays(heard, 1), addDays(today, -1)).some(
    ({ kind }) => kind === 'due',
  );
  return due ? daysBetween(heard, today) - 1 : 0;
}

function plateauWeeks(
  { facts, reports }: FollowRecord,
  share: number | null,
  { plateauWeeks: weeks }: TriageLimits,
): number | null {
  const start = firstDay(facts.versions);
  const from = addDays(facts.today, -7 * weeks);
  if (share === null || start === null || start > from) return null;
  const readings = [...reports].flatMap(([date, report]): Reading[] => {
    const value = worstPain(report);
    return value === null || date < from ? [] : [{ date, value }];
  });
  const { course, to } = judgeCourse(readings, PAIN_MATTERS);
  // Nothing is left to improve where hardly anything hurts.
  return course === 'no clear change' && (to ?? 0) > 2 ? weeks : null;
}
