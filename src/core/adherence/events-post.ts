/** The largest body of a post of events, bytes; the server refuses more at its first byte. */
export const EVENTS_BODY_LIMIT = 1024 * 1024;

/** The most events one post may carry. */
export const MOST_EVENTS_POSTED = 200;

/**
 * How many of these events, from the first, one post may carry: within the server's bounds both by
 * number and by bytes. One that is too large by itself goes alone, to be refused by name.
 *
 * @param sizes bytes of each event as JSON, in the order they are sent
 * @param around bytes of the body beside its events
 * @example fittingEvents([400_000, 400_000, 400_000], 100) // 2
 */
export function fittingEvents(sizes: readonly number[], around: number): number {
  let bytes = around;
  let count = 0;
  for (const size of sizes.slice(0, MOST_EVENTS_POSTED)) {
    // A comma stands between two of them.
    bytes += size + 1;
    if (bytes > EVENTS_BODY_LIMIT && count > 0) break;
    count += 1;
  }
  return count;
}
