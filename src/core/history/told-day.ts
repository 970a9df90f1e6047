/** A session of a day, with the lines it holds. */
export type SessionAsked = { readonly key: string; readonly lineages: readonly string[] };

/** How often a line was done, as a patient told it. */
export type TimesTold = { readonly lineage: string; readonly times: number };

/**
 * Places what was told of a day into its sessions: each line into the first sessions that hold it and of
 * which nothing was told yet. What finds no place is named and not placed: nobody knows when it was.
 *
 * @param taken sessions of which something was told by a device, or written down before
 * @example placeTold([{ key: 'session-1', lineages: ['a'] }], new Set(), [{ lineage: 'a', times: 2 }])
 * // one session with a, and a once beyond
 */
export function placeTold(
  sessions: readonly SessionAsked[],
  taken: ReadonlySet<string>,
  told: readonly TimesTold[],
): { readonly sessions: readonly SessionAsked[]; readonly beyond: readonly TimesTold[] } {
  const free = sessions.filter(({ key }) => !taken.has(key));
  const left = new Map(told.map(({ lineage, times }) => [lineage, times]));
  const placed = free.map(({ key, lineages }) => ({
    key,
    lineages: lineages.filter((lineage) => {
      const times = left.get(lineage) ?? 0;
      if (times === 0) return false;
      left.set(lineage, times - 1);
      return true;
    }),
  }));
  return {
    sessions: placed.filter(({ lineages }) => lineages.length > 0),
    beyond: [...left]
      .filter(([, times]) => times > 0)
      .map(([lineage, times]) => ({ lineage, times })),
  };
}
