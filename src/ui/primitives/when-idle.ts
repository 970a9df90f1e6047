/** At the latest after so long, however busy the page is. */
const LATEST_MS = 5000;
/** Where the browser does not say when it is at rest. */
const LATER_MS = 1500;

/**
 * Calls back once the page is at rest.
 *
 * @returns what takes it back
 */
export function whenIdle(callback: () => void): () => void {
  if (typeof requestIdleCallback === 'function') {
    const asked = requestIdleCallback(callback, { timeout: LATEST_MS });
    return () => cancelIdleCallback(asked);
  }
  const timer = setTimeout(callback, LATER_MS);
  return () => clearTimeout(timer);
}
