import { processWide } from '@/db/process-wide';
/** So many are remembered of one kind; those beyond begin anew, which only lets more through. */
const MOST_REMEMBERED = 20_000;

type Tally = { readonly period: number; amount: number };

/**
 * Counts what each of many does within a period of the server's clock. The server's several bundles share
 * one count by its name; each process counts for itself.
 *
 * @returns counts an amount, and says whether it still fits; what does not fit is not counted
 * @example tallyOf('quota', 86_400_000, 10)('one', 4, 0) // true
 */
export function tallyOf(name: string, periodMs: number, most: number) {
  const kept = processWide<Map<string, Tally>>(name);
  return (who: string, amount: number, at: number): boolean => {
    const tallies = (kept.value ??= new Map<string, Tally>());
    const period = Math.floor(at / periodMs);
    const known = tallies.get(who);
    const tally = known?.period === period ? known : { period, amount: 0 };
    if (tally.amount + amount > most) return false;
    tally.amount += amount;
    if (!tallies.has(who) && tallies.size >= MOST_REMEMBERED) {
      const [oldest] = tallies.keys();
      if (oldest !== undefined) tallies.delete(oldest);
    }
    tallies.set(who, tally);
    return true;
  };
}
