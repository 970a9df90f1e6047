/** How many backups of each age are kept. */
export const KEPT = { daily: 7, weekly: 4, monthly: 12 } as const;

const BEFORE = 'dry-lantern-';
const AFTER = '.dlbackup';
const DAY_MS = 86_400_000;

/**
 * A backup's name says when it was made, in UTC, so that names sort by age.
 *
 * @example backupName(0) // 'dry-lantern-19700101T000000Z.dlbackup'
 */
export function backupName(at: number): string {
  const stamp = new Date(at).toISOString().replace(/[-:]|\.\d+/g, '');
  return `${BEFORE}${stamp}${AFTER}`;
}

/** When a backup was made, by its name; null for any other file. */
export function madeAt(name: string): number | null {
  const [, y, mo, d, h, mi, s] =
    /^dry-lantern-(\d{4})(\d\d)(\d\d)T(\d\d)(\d\d)(\d\d)Z\.dlbackup$/.exec(name) ?? [];
  if (y === undefined) return null;
  const at = Date.parse(`${y}-${mo}-${d}T${h}:${mi}:${s}Z`);
  return Number.isNaN(at) ? null : at;
}

const dayOf = (at: number) => Math.floor(at / DAY_MS);
/** Weeks from Monday to Sunday; 1970-01-01 was a Thursday. */
const weekOf = (at: number) => Math.floor((dayOf(at) + 3) / 7);
const monthOf = (at: number) => new Date(at).toISOString().slice(0, 7);

/**
 * The names of backups that are not needed any more: kept are the newest of each of the last 7 days, 4
 * weeks and 12 months that have one. A file that is no backup is never among them.
 */
export function outlived(names: readonly string[]): string[] {
  const newestFirst = names
    .map((name) => ({ name, at: madeAt(name) }))
    .filter((one): one is { name: string; at: number } => one.at !== null)
    .sort((a, b) => b.at - a.at);
  const kept = new Set<string>();
  const keep = (most: number, of: (at: number) => number | string) => {
    const seen = new Set<number | string>();
    for (const { name, at } of newestFirst) {
      const age = of(at);
      if (seen.has(age)) continue;
      if (seen.size === most) return;
      seen.add(age);
      kept.add(name);
    }
  };
  keep(KEPT.daily, dayOf);
  keep(KEPT.weekly, weekOf);
  keep(KEPT.monthly, monthOf);
  return newestFirst.map(({ name }) => name).filter((name) => !kept.has(name));
}
