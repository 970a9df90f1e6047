/**
 * Compares two texts by their code units, for sorting: ids, local dates and days of the clock stand in
 * their own order so. Names that a person reads are sorted by their language instead.
 *
 * @returns less than 0 where `a` comes first, 0 where they are the same
 * @example ['2026-02-01', '2026-01-31'].sort(textOrder) // ['2026-01-31', '2026-02-01']
 */
export const textOrder = (a: string, b: string): number => Number(a > b) - Number(a < b);
