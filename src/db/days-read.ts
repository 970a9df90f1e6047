import { sql } from 'drizzle-orm';
import { StoredDone, StoredReport, isWholeDone, isWholeReport } from '@/core/records';
import { type ClinicId, type LocalDate, type PatientId, parseLocalDate } from '@/core/units';
import { read } from './door';
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
  const { patientId, localDate, done, report, pain } = dayDone;
  const asked = onDays(clinicId, patientIds, from, to);
  const rows = await read((db) =>
    db
      .select({
        patientId,
        days: sql<string>`'[' || group_concat('["' || ${localDate} || '",' || ${done} || ',' || ${report} || ',' || coalesce(${pain}, 'null') || ']') || ']'`,
      })
      .from(dayDone)
      .where(asked)
      .groupBy(patientId),
  );
  const found: DayRead[] = [];
  for (const row of rows) {
    const days = daysIn(row);
    if (!days)
      return read((db) =>
        db.select({ patientId, localDate, done, report, pain }).from(dayDone).where(asked),
      );
    found.push(...days);
  }
  return found;
}

/** The days of one patient; null where any of them cannot be read. */
function daysIn(row: { readonly patientId: PatientId; readonly days: string }): DayRead[] | null {
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
  return found.sort((a, b) => (a.localDate < b.localDate ? -1 : 1));
}

function textsIn(days: string): (readonly unknown[])[] | null {
  try {
    return JSON.parse(days) as (readonly unknown[])[];
  } catch {
    return null;
  }
}
