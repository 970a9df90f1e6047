import type { Exercise } from '../exercise';
import type { WakingHours } from '../schedule';
import type { LocalDate } from '../units';
import { fullestDay } from './day-time';
import { plannedLine } from './planned-line';
import type { SentVersion } from './sent';

/**
 * Least whole minutes that a version's fullest day asks for. Lines of exercises that are gone are not timed.
 *
 * @param from the day its fortnight is looked at from
 * @returns null where nothing is due in it
 */
export function minutesAsked(
  version: SentVersion,
  waking: WakingHours,
  byId: (id: string) => Exercise | null,
  from: LocalDate,
): number | null {
  const lines = version.lines.flatMap((line) => {
    const exercise = byId(line.exerciseId);
    return exercise
      ? [plannedLine(line.lineage, exercise, line.dose, line.anchor, line.school, line.session)]
      : [];
  });
  const day = fullestDay(lines, { from, review: version.reviewOn, rounds: version.rounds }, waking);
  return day && Math.ceil(day.total.least / 60);
}
