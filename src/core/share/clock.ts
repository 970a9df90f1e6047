/** One asking of the server for its time; `sent` and `received` by the own clock. Milliseconds. */
export type ClockSample = {
  readonly sent: number;
  readonly told: number;
  readonly received: number;
};

/**
 * How far the server's clock is ahead of the own one, milliseconds: from the asking that took the
 * shortest way there and back, taking both ways as equally long. It is off by half of that way at most.
 * After Cristian 1989, "Probabilistic clock synchronization" (from memory).
 *
 * @returns null where nothing was asked
 * @example sent at 0, told 5000, received at 2000: the clock is 4000 ahead, off by at most 1000
 */
export function clockAhead(samples: readonly ClockSample[]): number | null {
  let best: ClockSample | null = null;
  for (const one of samples)
    if (best === null || one.received - one.sent < best.received - best.sent) best = one;
  return best === null ? null : best.told - (best.sent + best.received) / 2;
}
