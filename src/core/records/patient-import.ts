import { z } from 'zod';
import { ROWS_AT_ONCE } from '../record-choices';
import { dateText, phoneNumber, recordId, words } from './words';
import { PatientDetails } from './patient-details';
import { PatientDraft } from './patient';

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
