import { type LocalDate, textOrder } from '../units';

/** One value a day: a pain, an order along a limb, a held time. */
export type Reading = { readonly date: LocalDate; readonly value: number };

/** The same readings in the order of their days. The order they came in never matters. */
export function inOrder(readings: readonly Reading[]): Reading[] {
  return [...readings].sort((a, b) => textOrder(a.date, b.date) || a.value - b.value);
}
