import { ENGLISH, sayPhrases, waysOf } from '@/catalogue';
import { parseDose, readDose } from '@/core/dose';
import type { RecordLine } from '@/core/whole-record';

/** The dose of a line in plain words; as it was written where it cannot be read any more. */
export function doseInWords(line: RecordLine): string {
  const dose = parseDose(line.dose);
  return dose.ok
    ? sayPhrases(readDose(dose.value, line.exercise.mode, waysOf(line)), ENGLISH)
    : line.dose;
}
