import { daysBetween } from '../units';
import { LEAST_DAYS, LOOK_EVERY, averaged, belowChange, lookByLook } from '../verdict';
import { type Matters, importantChange } from './course';
import { type Reading, inOrder } from './reading';

/** More likely than not as large as what matters. Ours. */
const LIKELY = 0.5;

/**
 * How long it took until improving was said at a weekly look (`judgeCourse`) and the change was likelier
 * than not as large as what matters.
 *
 * @param readings one a day, in any order
 * @returns days from the first reading: until then, or until the last one where it had not happened; null
 *   where there are too few for a first look
 */
export function importantAfter(
  readings: readonly Reading[],
  matters: Matters,
): { readonly days: number; readonly happened: boolean } | null {
  const told = inOrder(readings);
  const [first, last] = [told[0], told.at(-1)];
  const days = first && last ? daysBetween(first.date, last.date) + 1 : 0;
  if (!first || days < LEAST_DAYS) return null;
  const way = matters.better === 'more' ? -1 : 1;
  const at = told.map(({ date, value }) => ({
    day: daysBetween(first.date, date),
    value: way * value,
  }));
  const looks = lookByLook(at, matters.by, days);
  for (const [look, said] of looks.entries()) {
    if (said !== 'better') continue;
    const until = Math.min(days, LEAST_DAYS + look * LOOK_EVERY);
    const found = averaged(
      at.filter(({ day }) => day < until),
      matters.by,
    );
    const important = importantChange(way * found.start, matters);
    if (belowChange(found, -important) >= LIKELY) return { days: until, happened: true };
  }
  return { days, happened: false };
}
