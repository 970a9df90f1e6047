import {
  type MorningFacts,
  type MorningContext,
  TRIAGE_DAYS,
  morningRow,
  rowHoldsUntil,
} from '@/core/morning';
import { dayBegins } from '@/core/schedule';
import { LEVELS } from '@/core/triage';
import { type LocalDate, addDays, type ClinicId, type PatientId } from '@/core/units';
import { group } from 'd3';
import {
  comesForOf,
  type DayOfPain,
  type Patient,
  type TriageRow,
  clinicById,
  newestLinksOf,
  newestMarksOf,
  newestDaysOf,
  openAlertsOf,
  openReferralsOf,
  patientsById,
} from '@/db';
import { breather } from '../breathe';
import { eachReadable } from '../each-readable';
import { readableCatalogueFor } from '../desk/exercises';
import { now } from '../clock';
import { NOT_FOUND, Problem, unreadableIn } from '../problem';
import { todayOf } from '../programme-facts';
import { keptMornings } from './kept-mornings';
import { type PatientRecord, clinicContext, followRecords, limitsOf } from './outlook';

/** A patient with what the morning list reads of them. */
export type PatientMorning = { readonly patient: Patient; readonly facts: MorningFacts };

/** What the morning list reads of these patients, in a handful of queries whatever their number. */
export async function morningFactsOf(
  clinicId: ClinicId,
  patients: readonly Patient[],
): Promise<PatientMorning[]> {
  if (patients.length === 0) return [];
  const ids = patients.map(({ id }) => id);
  const todays = patients.map(todayOf).sort();
  const [first, last] = [todays[0] as LocalDate, todays.at(-1) as LocalDate];
  const [records, alerts, referrals, links, episodes, marks, newestDays] = await Promise.all([
    followRecords(clinicId, patients, addDays(first, -TRIAGE_DAYS), last),
    openAlertsOf(clinicId, ids),
    openReferralsOf(clinicId, ids),
    newestLinksOf(clinicId, ids),
    comesForOf(clinicId, ids),
    newestMarksOf(clinicId, ids),
    newestDaysOf(clinicId, ids),
  ]);
  const newest = new Map(newestDays.map((day) => [day.patientId, day]));
  const pains = await newestPains(clinicId, records, newest);
  const alertsBy = group(alerts, ({ patientId }) => patientId);
  return records.map((record): PatientMorning => {
    const { patient } = record.facts;
    const episode = episodes.get(patient.id);
    return {
      patient,
      facts: {
        record,
        complaint: episode?.complaint ?? '',
        closed: episode !== undefined && !episode.isOpen,
        alerts: alertsBy.get(patient.id) ?? [],
        openReferrals: referrals.get(patient.id) ?? [],
        link: links.get(patient.id) ?? null,
        mark: marks.get(patient.id) ?? null,
        lastSession: newest.get(patient.id)?.localDate ?? null,
        lastPain: pains.get(patient.id) ?? null,
      },
    };
  });
}

/** The newest pain told of each patient: of the newest day, of those read anyway, or long ago. */
async function newestPains(
  clinicId: ClinicId,
  records: readonly PatientRecord[],
  newest: ReadonlyMap<PatientId, DayOfPain>,
): Promise<ReadonlyMap<PatientId, NonNullable<MorningFacts['lastPain']>>> {
  const found = new Map<PatientId, NonNullable<MorningFacts['lastPain']>>();
  const note = ({ patientId, localDate, pain }: DayOfPain) => {
    if (pain !== null && !found.has(patientId)) found.set(patientId, { date: localDate, pain });
  };
  newest.forEach(note);
  for (const { facts } of records) [...facts.doneRows].reverse().forEach(note);
  const others = [...newest.keys()].filter((id) => !found.has(id));
  (await newestDaysOf(clinicId, others, 'with pains')).forEach(note);
  return found;
}

/** What a clinic's rows are reckoned with. */
export async function morningContext(clinicId: ClinicId): Promise<MorningContext> {
  const [clinic, { catalogue }] = await Promise.all([
    clinicById(clinicId),
    clinicContext(clinicId).catch((error: unknown) => {
      if (unreadableIn(error) === null) throw error;
      return clinicContext(clinicId, readableCatalogueFor);
    }),
  ]);
  if (!clinic) throw new Problem(404, NOT_FOUND);
  return { limits: limitsOf(clinic), screeningDays: clinic.screeningDays, catalogue, now: now() };
}

const mornings = keptMornings(morningFactsOf);

/** Where these patients stand now; others are answered between one row and the next. */
export async function triageRows(
  clinicId: ClinicId,
  patients: readonly Patient[],
): Promise<TriageRow[]> {
  const context = await morningContext(clinicId);
  const breathe = breather();
  const rows: TriageRow[] = [];
  for (const { patient, facts } of await mornings.factsOf(clinicId, patients)) {
    const body = morningRow(facts, context);
    rows.push({
      clinicId,
      patientId: patient.id,
      forDate: facts.record.facts.today,
      staleAt: rowHoldsUntil(facts, context),
      level: LEVELS.indexOf(body.level),
      urgency: body.urgency,
      aside: body.aside !== null,
      practitionerId: patient.practitionerId,
      name: patient.name,
      body,
    });
    await breathe();
  }
  return rows;
}

/** Urgency of a row that cannot be reckoned: it stands after every rule of its level. */
const LAST_OF_ITS_LEVEL = 99;

/** A row for a patient whose record cannot be read: nothing is known, which is no good news. */
export function unreadableRow(patient: Patient, say: string): TriageRow {
  const today = todayOf(patient);
  const level = 'call today';
  return {
    clinicId: patient.clinicId,
    patientId: patient.id,
    forDate: today,
    staleAt: dayBegins(patient.zone, addDays(today, 1)),
    level: LEVELS.indexOf(level),
    urgency: LAST_OF_ITS_LEVEL,
    aside: false,
    practitionerId: patient.practitionerId,
    name: patient.name,
    body: {
      level,
      rule: 'unreadable record',
      reason: say,
      next: 'Look at the file',
      step: 'follow',
      also: [],
      urgency: LAST_OF_ITS_LEVEL,
      complaint: '',
      days: [],
      alerts: [],
      lastSession: null,
      lastPain: null,
      aside: null,
    },
  };
}

/** The rows of these patients; one whose record cannot be read keeps nobody else from theirs. */
export async function rowsFor(clinicId: ClinicId, ids: readonly PatientId[]): Promise<TriageRow[]> {
  const patients = new Map((await patientsById(clinicId, ids)).map((one) => [one.id, one]));
  const { found, unread } = await eachReadable([...patients.keys()], async (some) => {
    const rows = await triageRows(
      clinicId,
      some.flatMap((id) => patients.get(id) ?? []),
    );
    return new Map(rows.map((row) => [row.patientId, row]));
  });
  const unreadable = [...unread].flatMap(([id, { say }]) => {
    const patient = patients.get(id);
    return patient ? [unreadableRow(patient, say)] : [];
  });
  return [...found.values(), ...unreadable];
}
