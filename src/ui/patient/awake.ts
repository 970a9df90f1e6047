/**
 * The first page begins its scripts late (scripts/serve/wake.mjs, decision 0025): at once on a phone
 * that holds something the clinic does not have, and a button touched before does its work when the
 * page says that it is awake. These are the two ends of that agreement.
 */
const UNSENT = 'dl-unsent';

/** Marks, or clears the mark, that this phone holds what the clinic does not have or a session half done. */
export function markUnsent(unsent: boolean): void {
  try {
    if (unsent) localStorage.setItem(UNSENT, 'yes');
    else localStorage.removeItem(UNSENT);
  } catch {
    // A window that keeps nothing has nothing to wake up for.
  }
}

/** Says that the page answers touches now. */
export function sayAwake(): void {
  window.dispatchEvent(new Event('dl-awake'));
}
