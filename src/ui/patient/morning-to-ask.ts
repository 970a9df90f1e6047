import { type LocalDate, addDays } from '@/core/units';

/** The morning after a session is asked about for so many days. */
const MORNING_DAYS = 3;

/**
 * The day whose morning after is asked about: what the clinic's pack says on the day it was made for;
 * without a signal, the newest day lately on which something was done here.
 *
 * @param made the day the pack was made for
 * @param told mornings told here that the clinic does not know yet
 * @returns null where nothing is to be asked
 */
export function morningToAsk(
  pack: { readonly made: LocalDate; readonly morningOf: LocalDate | null },
  today: LocalDate,
  sessionDays: readonly LocalDate[],
  told: readonly LocalDate[],
): LocalDate | null {
  const own = sessionDays
    .filter((date) => date < today && date >= addDays(today, -MORNING_DAYS))
    .sort()
    .at(-1);
  const asked = pack.made === today ? pack.morningOf : (own ?? null);
  return asked !== null && told.includes(addDays(asked, 1)) ? null : asked;
}
