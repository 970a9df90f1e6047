import type { ClinicId, PatientId } from '@/core/units';
import type { TriageRow } from '@/db';

/** Whose rows the thread is asked for. */
export type RowsOrder = {
  readonly id: number;
  readonly clinicId: ClinicId;
  readonly patientIds: readonly PatientId[];
};

/** The rows; null where they could not be reckoned there. */
export type RowsAnswer = { readonly id: number; readonly rows: TriageRow[] | null };
