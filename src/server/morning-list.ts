import { type AdherenceSummary, type DayAdherence, summarise } from '@/core/adherence';
import { adherenceHistory, lastDays } from '@/core/history';
import { type LocalDate, daysBetween } from '@/core/units';
import {
  type AlertKind,
  PATIENTS_A_PAGE,
  type Patient,
  countPatients,
  newestOf,
  openAlertsOf,
  patientsAwaitingAnswer,
  patientsOnPage,
} from '@/db';
import type { SignedIn } from './access';
import { factsOf, todayOf } from './programme-facts';

/** Ribs of a patient's small lantern: so many days, today the newest. */
export const LANTERN_DAYS = 14;

export type OpenAlert = {
  readonly id: string;
  readonly kind: AlertKind;
};

export type MorningRow = {
  readonly patient: Patient;
  readonly complaint: string;
  readonly days: readonly DayAdherence[];
  readonly summary: AdherenceSummary;
  readonly alerts: readonly OpenAlert[];
  readonly lastSession: { readonly date: LocalDate; readonly daysAgo: number } | null;
  readonly lastPain: { readonly date: LocalDate; readonly pain: number } | null;
  /** In one sentence, with its numbers. */
  readonly reason: string;
};

export type MorningList = {
  readonly rows: readonly MorningRow[];
  readonly total: number;
  readonly page: number;
  readonly pages: number;
};

/** One page of the clinic's patients, each with the last fortnight. */
export async function morningList(
  member: SignedIn,
  search: string,
  page: number,
): Promise<MorningList> {
  const { clinicId } = member;
  const total = await countPatients({ clinicId, search });
  const pages = Math.max(1, Math.ceil(total / PATIENTS_A_PAGE));
  const shown = Math.min(Math.max(1, page), pages);
  const found = await patientsOnPage({ clinicId, search, page: shown });
  if (found.length === 0) return { rows: [], total, page: shown, pages };
  const patients = found.map((row) => row.patient);
  const ids = patients.map((patient) => patient.id);
  const todays = patients.map(todayOf).sort();
  const from = lastDays(todays[0] as LocalDate, LANTERN_DAYS).from;
  const to = todays.at(-1) as LocalDate;
  const [facts, alerts, newest, awaiting] = await Promise.all([
    factsOf(clinicId, patients, from, to),
    openAlertsOf(clinicId, ids),
    newestOf(clinicId, ids),
    patientsAwaitingAnswer(clinicId, ids),
  ]);
  const rows = facts.map((fact, index): MorningRow => {
    const { patient, today } = fact;
    const span = lastDays(today, LANTERN_DAYS);
    const days = adherenceHistory(fact, span.from, span.to);
    const date = newest.session.get(patient.id) as LocalDate | undefined;
    const pain = newest.pain.get(patient.id);
    const row = {
      patient,
      complaint: found[index]?.complaint ?? '',
      days,
      summary: summarise(days),
      alerts: alerts
        .filter((alert) => alert.patientId === patient.id)
        .map(({ id, kind }) => ({ id, kind })),
      lastSession: date ? { date, daysAgo: daysBetween(date, today) } : null,
      lastPain: pain?.pain == null ? null : { date: pain.date as LocalDate, pain: pain.pain },
    };
    return { ...row, reason: reasonOf(row, fact.versions.length > 0, awaiting.has(patient.id)) };
  });
  return { rows, total, page: shown, pages };
}

const ALERT_REASONS: Readonly<Record<AlertKind, string>> = {
  'stopped for a symptom':
    'Stopped a session because something felt wrong; the programme is paused.',
  'conflicting log': 'A session was reported twice with different content; both are kept.',
  'new weakness': 'New weakness at the last examination, whatever the pain does.',
  'health answers': 'The patient’s own health answers ask for a look today.',
};

function reasonOf(
  row: Omit<MorningRow, 'reason'>,
  prescribed: boolean,
  awaitsAnswer: boolean,
): string {
  const [alert] = row.alerts;
  if (alert) return ALERT_REASONS[alert.kind];
  if (awaitsAnswer) return 'Referred; no answer is recorded yet.';
  if (!prescribed) return 'No programme yet.';
  if (row.lastSession === null) return 'No session so far.';
  const { sessionsDone, sessionsDue, share } = row.summary;
  if (sessionsDue === 0) return `Nothing was due in the last ${LANTERN_DAYS} days.`;
  const percent = share === null ? '' : `, ${Math.round(share * 100)} % of the dose`;
  return `${sessionsDone} of ${sessionsDue} sessions in ${LANTERN_DAYS} days${percent}.`;
}
