import type { OutcomeLetter } from '.';

/** What a letter is called at its head and in a reader’s window. */
export function letterTitle({ kind, patientName }: OutcomeLetter): string {
  return kind === 'discharge' ? `Discharge: ${patientName}` : `Review: ${patientName}`;
}
