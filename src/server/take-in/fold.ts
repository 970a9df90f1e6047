import { foldEvents, sessionsDone } from '@/core/history';
import type { SentVersion } from '@/core/programme';
import type { LocalDate } from '@/core/units';
import type { DayDoneRow, Patient, SessionEventRow } from '@/db';
import { wakingOf, zoneOf } from '../programme-facts';

/** A day's row, folded from all its events. */
export function foldedDay(
  patient: Patient,
  date: LocalDate,
  rows: readonly SessionEventRow[],
  versions: readonly SentVersion[],
): DayDoneRow {
  const { done, pain, report } = foldEvents(date, rows, versions, {
    zone: zoneOf(patient),
    waking: wakingOf(patient),
  });
  return {
    clinicId: patient.clinicId,
    patientId: patient.id,
    localDate: date,
    done,
    sessionsDone: sessionsDone(done),
    pain,
    report,
    events: rows.length,
  };
}
