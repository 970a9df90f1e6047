import { group } from 'd3';
import { type HistoryFacts, type Pause, lastCounted } from '@/core/history';
import { type SentVersion, sentVersion, withLastCounted } from '@/core/programme';
import { type WakingHours, type Zone, dateIn } from '@/core/schedule';
import { type ClinicId, type LocalDate, addDays } from '@/core/units';
import { type DayRead, type Patient, daysRead, pausesOf, versionsOf } from '@/db';
import { now } from './clock';

export function wakingOf(patient: Patient): WakingHours {
  return { wake: patient.wakeMinute, sleep: patient.sleepMinute };
}

export function zoneOf(patient: Patient): Zone {
  return patient.zone;
}

/** Today where the patient is. */
export function todayOf(patient: Patient): LocalDate {
  return dateIn(zoneOf(patient), now());
}

export type PatientFacts = Omit<HistoryFacts, 'versions'> & {
  readonly patient: Patient;
  readonly versions: readonly SentVersion[];
  readonly doneRows: readonly DayRead[];
};

/** How far back a patient's own counts time the sets that are done until form fails. */
const COUNTED_DAYS = 14;

/** Everything adherence needs of these patients, in four queries whatever their number. */
export async function factsOf(
  clinicId: ClinicId,
  patients: readonly Patient[],
  from: LocalDate,
  to: LocalDate,
): Promise<PatientFacts[]> {
  if (patients.length === 0) return [];
  const ids = patients.map((patient) => patient.id);
  const counted = addDays(to, -COUNTED_DAYS);
  const since = counted < from ? counted : from;
  const [versions, pauses, rows] = await Promise.all([
    versionsOf(clinicId, ids),
    pausesOf(clinicId, ids),
    daysRead(clinicId, ids, since, to),
  ]);
  const pausesBy = group(pauses, ({ patientId }) => patientId);
  const rowsBy = group(rows, ({ patientId }) => patientId);
  return patients.map((patient) => {
    const rows = rowsBy.get(patient.id) ?? [];
    const newest = lastCounted(new Map(rows.map((row) => [row.localDate, row.done])));
    const doneRows = rows.filter(({ localDate }) => localDate >= from);
    const done = new Map(doneRows.map((row) => [row.localDate, row.done]));
    return {
      patient,
      zone: zoneOf(patient),
      waking: wakingOf(patient),
      today: todayOf(patient),
      versions: (versions.get(patient.id) ?? []).map((stored) =>
        withLastCounted(sentVersion(stored), newest),
      ),
      pauses: (pausesBy.get(patient.id) ?? []).map((pause): Pause => ({
        from: pause.fromDate,
        to: pause.toDate,
      })),
      done,
      doneRows,
    };
  });
}
