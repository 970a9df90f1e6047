import { type Dose, isUntilFormFails } from '../dose';
import type { LocalDate } from '../units';
import type { DayDone } from './history';
import type { CountedSet } from './line-log';

/** What each line's sets came to when they were last counted, by lineage; no entry where never. */
export function lastCounted(
  done: ReadonlyMap<LocalDate, DayDone>,
): ReadonlyMap<string, readonly CountedSet[]> {
  const newest = new Map<string, { date: LocalDate; counted: readonly CountedSet[] }>();
  for (const [date, { sessions }] of done)
    for (const { lines } of sessions)
      for (const { lineage, counted } of lines) {
        if (counted === undefined || counted.length === 0) continue;
        const known = newest.get(lineage);
        if (!known || known.date <= date) newest.set(lineage, { date, counted });
      }
  return new Map([...newest].map(([lineage, { counted }]) => [lineage, counted]));
}

/** The most of the last counts of its sets done until form fails; null when none was counted. */
export function lastMaxOf(
  { head }: Pick<Dose, 'head'>,
  counted: readonly CountedSet[],
): number | null {
  const counts = counted.flatMap(({ set, reps }) =>
    isUntilFormFails(head, set - 1) && reps !== null ? [reps] : [],
  );
  return counts.length === 0 ? null : Math.max(...counts);
}
