import type { LocalDate } from '../units';

/** Anything that holds from a date until the next one does. */
export type Effective = { readonly effectiveFrom: LocalDate; readonly number: number };

/**
 * The version in force on a date: of those whose date has come, the one written last (a later
 * version replaces an earlier one even where that was planned for a later date). Null before any.
 */
export function versionOn<V extends Effective>(versions: readonly V[], date: LocalDate): V | null {
  let found: V | null = null;
  for (const version of versions) {
    if (version.effectiveFrom > date) continue;
    if (found === null || isNewer(version, found)) found = version;
  }
  return found;
}

function isNewer(a: Effective, b: Effective): boolean {
  return a.number > b.number;
}
