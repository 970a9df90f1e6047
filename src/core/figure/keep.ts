import type { Part, Skeleton } from './body';

/**
 * Makes a part of a drawing, or gives the one that was made before where all it is made from is the same:
 * between two moments of a movement most of a body stands still.
 *
 * @param name which part
 * @param from numbers it is made from, and parts that are kept themselves: as many each time
 */
export type Keep = <T>(name: string, from: readonly unknown[], make: () => T) => T;

/** For a single picture. */
export const keepNothing: Keep = (_name, _from, make) => make();

/** For the pictures of one figure from one side: what it is made from besides is the same in all of them. */
export function keeper(): Keep {
  const kept = new Map<string, { readonly from: readonly unknown[]; readonly made: unknown }>();
  return <T>(name: string, from: readonly unknown[], make: () => T): T => {
    const known = kept.get(name);
    if (known && known.from.every((one, at) => one === from[at])) return known.made as T;
    const made = make();
    kept.set(name, { from, made });
    return made;
  };
}

/** Where parts of a body are and how they are turned, as numbers. */
export function numbersOf({ frames }: Skeleton, parts: readonly Part[]): number[] {
  const numbers: number[] = [];
  for (const part of parts) {
    const { at, turn } = frames[part];
    numbers.push(at[0], at[1], at[2], turn[0], turn[1], turn[2], turn[3]);
  }
  return numbers;
}
