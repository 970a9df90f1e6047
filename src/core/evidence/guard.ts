import { itemAt, textOrder } from '../units';
import { FEWEST_PATIENTS } from '../outlook';

/** What is counted, and of how many patients it is. */
export type Cell = { readonly count: number; readonly patients: number };

/** A count that may be told; null where it is of one to four patients, or would tell such a one. */
export type Told = number | null;

const isFew = ({ patients }: Cell) => patients > 0 && patients < FEWEST_PATIENTS;

/**
 * The counts of a table that may be told when the sums of its rows and columns are known. A cell of one to
 * four patients is hidden; so is the smallest beside it, until what is hidden in each row and column is of
 * two cells and five patients at least, so that no hidden one can be had by subtracting.
 *
 * The usual complementary suppression of official tables (Willenborg & de Waal 2001; memory), by the
 * simple way of one more cell at a time: it may hide more than it must, never less.
 *
 * @param rows as long as each other
 * @example toldTable([[{ count: 9, patients: 9 }, { count: 2, patients: 2 }]]) // [[null, null]]
 */
export function toldTable(rows: readonly (readonly Cell[])[]): Told[][] {
  const hidden = rows.map((row) => row.map(isFew));
  const width = rows[0]?.length ?? 0;
  const lines = [
    ...rows.map((row, y) => row.map((_, x) => [y, x] as const)),
    ...(rows.length > 1
      ? Array.from({ length: width }, (_, x) => rows.map((_row, y) => [y, x] as const))
      : []),
  ];
  const cell = ([y, x]: readonly [number, number]) => itemAt(itemAt(rows, y), x);
  const isHidden = ([y, x]: readonly [number, number]) => itemAt(itemAt(hidden, y), x);
  for (let changed = true; changed;) {
    changed = false;
    for (const line of lines) {
      const gone = line.filter(isHidden);
      const patients = gone.reduce((sum, at) => sum + cell(at).patients, 0);
      if (gone.length === 0 || (gone.length > 1 && patients >= FEWEST_PATIENTS)) continue;
      const [next] = line
        .filter((at) => !isHidden(at))
        // A cell of nobody hides little: it goes last.
        .sort((a, b) => (cell(a).patients || Infinity) - (cell(b).patients || Infinity));
      if (!next) continue;
      itemAt(hidden, next[0])[next[1]] = true;
      changed = true;
    }
  }
  return rows.map((row, y) =>
    row.map(({ count }, x) => (itemAt(itemAt(hidden, y), x) ? null : count)),
  );
}

/** One row of parts of a known whole. */
export function toldParts(parts: readonly Cell[]): Told[] {
  return itemAt(toldTable([parts]), 0);
}

/** A group with a name, and who is in it. */
export type Group<T> = { readonly name: string; readonly members: readonly T[] };

/** What a group is called that nothing is left beside. */
export const ALL = 'all together';

/**
 * Puts those together that are too few, the smallest first, until each group is of five patients at least.
 *
 * @param others what the ones put together are called
 * @param patientsIn how many patients these members are of
 * @returns the largest first, those put together last; none where all together are too few
 */
export function toldGroups<T>(
  groups: readonly Group<T>[],
  others: string,
  patientsIn: (members: readonly T[]) => number,
): Group<T>[] {
  const sorted = [...groups].sort(
    (a, b) => patientsIn(b.members) - patientsIn(a.members) || textOrder(a.name, b.name),
  );
  const apart: Group<T>[] = [];
  let together: readonly T[] = [];
  for (const group of sorted)
    if (patientsIn(group.members) >= FEWEST_PATIENTS) apart.push(group);
    else together = [...together, ...group.members];
  while (together.length > 0 && patientsIn(together) < FEWEST_PATIENTS) {
    const smallest = apart.pop();
    if (!smallest) return [];
    together = [...together, ...smallest.members];
  }
  if (together.length === 0) return apart;
  return [...apart, { name: apart.length > 0 ? others : ALL, members: together }];
}

/** How many patients, as far as it may be told of groups that overlap: nobody learns who is not in one. */
export function sizeInWords(patients: number): string {
  const from = [100, 50, 20, 10, FEWEST_PATIENTS].find((size) => patients >= size);
  return from === undefined ? 'under 5' : `${from} or more`;
}
