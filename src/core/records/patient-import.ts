import { z } from 'zod';
import { dateText, phoneNumber, recordId, words } from './words';
import { PatientDetails } from './patient-details';
import { PatientDraft } from './patient';

/** Rows that travel in one post. */
export const ROWS_AT_ONCE = 100;
/** Rows of one table. */
export const MOST_ROWS = 5000;

/** One row of a table, as a patient to be. */
export const ImportedRow = z.object({
  /** Made by the page, so that sending twice makes one patient. */
  id: recordId,
  name: PatientDraft.shape.name,
  complaint: PatientDraft.shape.complaint,
  birthDate: dateText.nullable(),
  phone: phoneNumber(0),
  email: PatientDetails.shape.email,
  clinicNumber: words('The number', 60, 0),
  minutesADay: PatientDraft.shape.minutesADay,
  /** Somebody may be this person already, and a member said that it is another. */
  another: z.boolean(),
});
export type ImportedRow = z.infer<typeof ImportedRow>;

/** Rows to be looked at: each is judged by itself, so they are read one by one. */
export const ImportCheck = z.object({ rows: z.array(z.unknown()).min(1).max(ROWS_AT_ONCE) });

/** Rows to be written, all of them or none. */
export const ImportDraft = z.object({
  zone: PatientDraft.shape.zone,
  rows: z.array(ImportedRow).min(1).max(ROWS_AT_ONCE),
});
export type ImportDraft = z.infer<typeof ImportDraft>;

/** What stands against a row; null where nothing does. */
export type RowFound = {
  readonly wrong: string | null;
  /** Who it may be already. */
  readonly alike: string | null;
};

/** The largest file of a whole record that is taken in, bytes: years of sessions with a hundred photos. */
export const RECORD_FILE_LIMIT = 64 * 1024 * 1024;
