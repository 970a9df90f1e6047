import { NO_DETAILS } from '@/core/records';
import type { WholeRecord } from '@/core/whole-record';
import type { RecordRows } from '@/db';

/** The rows of a record as the files made of it read them. */
export function wholeRecord(
  rows: RecordRows,
  clinic: WholeRecord['clinic'],
  members: WholeRecord['members'],
): WholeRecord | null {
  const [patient] = rows.patient;
  if (!patient) return null;
  return {
    clinic,
    members,
    patient,
    details: rows.patientDetails[0]?.body ?? NO_DETAILS,
    episodes: rows.episode,
    visits: rows.visit,
    versions: rows.programmeVersion,
    lines: rows.programmeLine,
    screenings: rows.screening,
    measurements: rows.measurement,
    entries: rows.fileEntry.map((row) => ({
      ...row,
      body: row.body === null ? null : (JSON.parse(row.body) as unknown),
    })),
    findings: rows.finding,
    teachings: rows.teachBack,
    notes: rows.visitNote,
    letters: rows.outcomeLetter,
    referrals: rows.referral,
    referralAnswers: rows.referralAnswer,
    pauses: rows.pause,
    events: rows.sessionEvent,
  };
}
