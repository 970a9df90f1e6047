import { sql } from 'drizzle-orm';
import { StoredDone, StoredReport, isWholeDone, isWholeReport } from '@/core/records';
import {
  type ClinicId,
  type LocalDate,
  type PatientId,
  parseLocalDate,
  textOrder,
} from '@/core/units';
import { type OfPatients, ofPatients } from './among';
import { prepared, read } from './door';
import { dayDone } from './schema';
import { type DayDoneRow, onDays } from './session-events';

/** A folded day as progression, strips and lists read it. */
export type DayRead = Pick<DayDoneRow, 'patientId' | 'localDate' | 'done' | 'report' | 'pain'>;

/**
 * The folded days of these patients from `from` to `to`, both included, in order, with only what is
 * reckoned with. Lists read them by the ten thousand, and a row costs more than what it holds: the
 * days of a patient come as one text. Where it cannot be read they are read row by row, so that the
 * row is named.
 */
export async function daysRead(
  clinicId: ClinicId,
  patientIds: readonly string[],
  from: LocalDate,
  to: LocalDate,
): Promise<DayRead[]> {
  const rows = await together({ ...ofPatients(clinicId, patientIds), from, to });
  const found: DayRead[] = [];
  for (const row of rows) {
    const days = daysIn(row);
    if (!days) return oneByOne(clinicId, patientIds, from, to);
    found.push(...days);
  }
  return found;
}

type DaysOfPatient = { readonly patientId: PatientId; readonly days: string };

const { patientId, localDate, done, report, pain } = dayDone;
const together = prepared<
  OfPatients & { readonly from: LocalDate; readonly to: LocalDate },
  DaysOfPatient
>((db) =>
  db
    .select({
      patientId,
      days: sql<string>`'[' || group_concat('["' || ${localDate} || '",' || ${done} || ',' || ${report} || ',' || coalesce(${pain}, 'null') || ']') || ']'`,
    })
    .from(dayDone)
    .where(
      onDays(
        sql.placeholder('clinicId'),
        sql.placeholder('ids'),
        sql.placeholder('from'),
        sql.placeholder('to'),
      ),
    )
    .groupBy(patientId)
    .prepare(),
);

function oneByOne(
  clinicId: ClinicId,
  patientIds: readonly string[],
  from: LocalDate,
  to: LocalDate,
): Promise<DayRead[]> {
  return read((db) =>
    db
      .select({ patientId, localDate, done, report, pain })
      .from(dayDone)
      .where(onDays(clinicId, patientIds, from, to)),
  );
}

/** The days of one patient; null where any of them cannot be read. */
function daysIn(row: DaysOfPatient): DayRead[] | null {
  const found: DayRead[] = [];
  for (const [date, done, report, pain] of textsIn(row.days) ?? [[]]) {
    const localDate = typeof date === 'string' ? parseLocalDate(date) : null;
    const readDone = isWholeDone(done) ? done : StoredDone.safeParse(done).data;
    const readReport = isWholeReport(report) ? report : StoredReport.safeParse(report).data;
    if (!localDate || !readDone || !readReport) return null;
    found.push({
      patientId: row.patientId,
      localDate,
      done: readDone,
      report: readReport,
      pain: typeof pain === 'number' ? pain : null,
    });
  }
  return found.sort((a, b) => textOrder(a.localDate, b.localDate));
}

function textsIn(days: string): (readonly unknown[])[] | null {
  try {
    return JSON.parse(days) as (readonly unknown[])[];
  } catch {
    return null;
  }
}
