import { NO_SETTINGS } from '../school';
import { type Dose, parseDose } from '../dose';
import type { Exercise } from '../exercise';
import { type PlannedLine, plannedLine } from '../programme';
import type { LocalDate } from '../units';
import type { ReadyProgramme } from './ready';

type ById = (id: string) => Exercise | null;

/** A dose of a programme that ships. @throws Error for one that cannot be read: a test holds that there is none */
export function readyDose(text: string): Dose {
  const read = parseDose(text);
  if (!read.ok) throw new Error(`the ready dose “${text}” cannot be read`);
  return read.value;
}

/** Its lines as every reckoning of a programme takes them, from a day on; what no catalogue knows is left out. */
export function readyPlanned(
  { lines }: ReadyProgramme,
  byId: ById,
  from: LocalDate,
): readonly PlannedLine[] {
  return lines.flatMap(({ exerciseId, dose, school }, at) => {
    const exercise = byId(exerciseId);
    const choice = school === null ? null : { id: school, settings: NO_SETTINGS };
    return exercise ? [plannedLine(String(at), exercise, readyDose(dose), from, choice)] : [];
  });
}
