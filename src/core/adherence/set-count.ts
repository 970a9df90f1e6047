import type { RepDone, SessionEventBody } from './session-event';

/**
 * One set as the patient counted it. Where sides alternate within a set, its side is null and the
 * count is that of each side.
 */
export type SetCount = Omit<Extract<SessionEventBody, { type: 'count' }>, 'type' | 'lineage'>;

/** Where a set stands in its line; null as a side means every side. */
export type SetPlace = Pick<SetCount, 'round' | 'side' | 'direction' | 'station' | 'set'>;

/** True where a repetition belongs to a set. */
export function isOfSet(rep: Omit<RepDone, 'rep' | 'held' | 'moved'>, place: SetPlace): boolean {
  return (
    rep.round === place.round &&
    rep.direction === place.direction &&
    rep.station === place.station &&
    rep.set === place.set &&
    (place.side === null || rep.side === place.side)
  );
}

/**
 * Repetitions as they were counted, where they were: the player goes by its clock, whoever does them
 * knows better. Those beyond the count are left out; those it did not play are as its last one was.
 *
 * @example countedReps(tenPlayed, [{ …, reps: 8, load: null }]) // the first eight
 */
export function countedReps(
  played: readonly RepDone[],
  counts: readonly SetCount[],
): readonly RepDone[] {
  return counts.reduce<readonly RepDone[]>((reps, count) => {
    const told = count.reps;
    if (told === null) return reps;
    const mine = reps.filter((rep) => isOfSet(rep, count));
    const sides = [...new Set(mine.map(({ side }) => side))];
    const others = reps.filter((rep) => !isOfSet(rep, count));
    return [
      ...others,
      ...(sides.length > 0 ? sides : [count.side]).flatMap((side) =>
        atCount(
          mine.filter((rep) => rep.side === side),
          { ...count, side },
          told,
        ),
      ),
    ];
  }, played);
}

function atCount(played: readonly RepDone[], place: SetPlace, count: number): RepDone[] {
  const sorted = [...played].sort((a, b) => a.rep - b.rep);
  const last = sorted.at(-1);
  const { round, side, direction, station, set } = place;
  return Array.from({ length: count }, (_, index): RepDone => {
    const rep = index + 1;
    const known = sorted.find((one) => one.rep === rep);
    const like = { held: last?.held ?? 0, moved: last?.moved ?? 0 };
    return known ?? { round, side, direction, station, set, rep, ...like };
  });
}
