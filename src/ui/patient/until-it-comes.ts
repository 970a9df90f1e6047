/** Milliseconds between one try and the next. */
const REST_MS = 3_000;

/**
 * A part of the page that a bad connection has cut off is asked for again until it comes: what waits for
 * it, as an answer that was given, is done then, and nothing is lost while the page is open.
 */
export async function untilItComes<T>(load: () => Promise<T>, restMs = REST_MS): Promise<T> {
  for (;;) {
    try {
      return await load();
    } catch {
      await new Promise((resolve) => setTimeout(resolve, restMs));
    }
  }
}
