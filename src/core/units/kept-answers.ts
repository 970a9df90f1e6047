/**
 * Keeps answers that never change, so that each is found once. When so many are kept all of them are
 * forgotten: knowing which was asked for last would cost more than finding some anew.
 *
 * @param most how many are kept
 * @returns what gives the answer of a key: the one that is kept, else what is found, which is never undefined
 * @example const squares = keptAnswers<number, number>(100); squares(3, () => 9) // 9
 */
export function keptAnswers<K, V>(most: number): (key: K, find: () => V) => V {
  const known = new Map<K, V>();
  return (key, find) => {
    const before = known.get(key);
    if (before !== undefined) return before;
    const found = find();
    if (known.size >= most) known.clear();
    known.set(key, found);
    return found;
  };
}
