import {
  type AdherenceSummary,
  type DayAdherence,
  type SessionEventBody,
  summarise,
} from '@/core/adherence';
import { adherenceHistory, firstDay, isPausedOn } from '@/core/history';
import { type LocalDate, addDays, daysBetween } from '@/core/units';
import { type Patient, membersOf, newestEvents, newestLinkOf, pausesOf, openAlertsOf } from '@/db';
import type { SignedIn } from '../access';
import { LANTERN_DAYS, type OpenAlert } from '../morning-list';
import { type PatientFacts, type SentVersion, factsOf, todayOf } from '../programme-facts';

/** The most days the strips show; older ones stay in the record. */
const MOST_DAYS = 366;

export type PainDay = { readonly date: LocalDate; readonly pain: number };
export type Seam = {
  readonly date: LocalDate;
  readonly number: number;
  readonly reason: string;
  readonly author: string;
};
export type Note = {
  readonly date: LocalDate;
  readonly word: string;
  readonly pain: number | null;
};

export type Follow = {
  readonly today: LocalDate;
  readonly days: readonly DayAdherence[];
  readonly summary: AdherenceSummary;
  readonly fortnight: AdherenceSummary;
  readonly pains: readonly PainDay[];
  readonly seams: readonly Seam[];
  readonly notes: readonly Note[];
  readonly versions: readonly SentVersion[];
  readonly paused: boolean;
};

/** A patient's strips, from the first day of the programme to today. */
export async function followOf(member: SignedIn, patient: Patient): Promise<Follow> {
  const today = todayOf(patient);
  const earliest = addDays(today, 1 - MOST_DAYS);
  const [[facts], members, notes] = await Promise.all([
    factsOf(member.clinicId, [patient], earliest, today),
    membersOf(member.clinicId),
    newestEvents(member.clinicId, patient.id, 400),
  ]);
  if (!facts) throw new Error('facts of one patient');
  const start = firstDay(facts.versions) ?? today;
  const from = start < earliest ? earliest : start > today ? today : start;
  const days = adherenceHistory(facts, from, today);
  const names = new Map(members.map(({ id, name }) => [id, name]));
  return {
    today,
    days,
    summary: summarise(days),
    fortnight: summarise(days.slice(-LANTERN_DAYS)),
    pains: painDays(facts, from),
    seams: facts.versions.map((version) => ({
      date: version.effectiveFrom,
      number: version.number,
      reason: version.reason,
      author: names.get(version.authorId) ?? '',
    })),
    notes: notesIn(notes),
    versions: facts.versions,
    paused: isPausedOn(facts.pauses, today) || facts.pauses.some((pause) => pause.to === null),
  };
}

function painDays(facts: PatientFacts, from: LocalDate): PainDay[] {
  return facts.doneRows
    .filter((row) => row.pain !== null && row.localDate >= from)
    .map((row) => ({ date: row.localDate as LocalDate, pain: row.pain ?? 0 }))
    .sort((a, b) => daysBetween(b.date, a.date));
}

function notesIn(rows: readonly { localDate: string; body: string }[]): Note[] {
  return rows
    .map((row) => ({
      date: row.localDate as LocalDate,
      body: JSON.parse(row.body) as SessionEventBody,
    }))
    .flatMap(({ date, body }) =>
      body.type === 'check-in' && body.word !== ''
        ? [{ date, word: body.word, pain: body.pain }]
        : [],
    )
    .slice(0, 12);
}

/** What the header of a patient's file shows on every step. */
export type FileHeader = {
  /** A pause of the patient's own that is not over yet. */
  readonly ownPause: { readonly reason: string; readonly from: string; readonly to: string } | null;
  readonly days: readonly DayAdherence[];
  readonly alerts: readonly OpenAlert[];
  readonly paused: boolean;
  readonly link: { readonly issued: boolean; readonly opened: boolean };
};

export async function fileHeader(member: SignedIn, patient: Patient): Promise<FileHeader> {
  const today = todayOf(patient);
  const from = addDays(today, 1 - LANTERN_DAYS);
  const [[facts], alerts, link, pauses] = await Promise.all([
    factsOf(member.clinicId, [patient], from, today),
    openAlertsOf(member.clinicId, [patient.id]),
    newestLinkOf(member.clinicId, patient.id),
    pausesOf(member.clinicId, [patient.id]),
  ]);
  const own = pauses.findLast(
    ({ cause, toDate }) => cause === 'patient' && toDate !== null && toDate >= today,
  );
  return {
    ownPause: own ? { reason: own.reason, from: own.fromDate, to: own.toDate ?? '' } : null,
    days: facts ? adherenceHistory(facts, from, today) : [],
    alerts: alerts.map(({ id, kind, createdAt, escalatedAt }) => ({
      id,
      kind,
      createdAt,
      escalated: escalatedAt !== null,
    })),
    paused: facts?.pauses.some((pause) => pause.to === null) ?? false,
    link: { issued: link !== null && link.revokedAt === null, opened: link?.openedAt != null },
  };
}
