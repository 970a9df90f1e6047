import type { OutcomeLetter } from '@/core/review';

export function letterTitle({ kind, patientName }: OutcomeLetter): string {
  return kind === 'discharge' ? `Discharge: ${patientName}` : `Review: ${patientName}`;
}
