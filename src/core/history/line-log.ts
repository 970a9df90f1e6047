import type { LineTarget, RepDone, SessionSummary, SkipReason } from '../adherence';
import { shareDone } from '../adherence';

/** One line of one session as it was done: what progression and the strips read. */
export type LineLog = {
  readonly lineage: string;
  /** Share of the least dose, uncapped. */
  readonly share: number;
  readonly reps: number;
  readonly heldSeconds: number;
  /** The middle one of the held bouts, seconds; null where nothing was held. */
  readonly hold: number | null;
  /** Repetitions of each set, on the side or in the direction that did fewest. */
  readonly sets: readonly number[];
  readonly skipped: SkipReason | null;
};

/** What a session says of each of its version's lines; lines it says nothing of are left out. */
export function lineLogs(
  { lines }: Pick<SessionSummary, 'lines'>,
  asked: readonly { readonly lineage: string; readonly target: LineTarget }[],
): LineLog[] {
  return asked.flatMap(({ lineage, target }) => {
    const done = lines.find((line) => line.lineage === lineage);
    if (!done || (done.reps.length === 0 && done.skipped === null)) return [];
    const { reps, skipped } = done;
    const holds = reps.map(({ held }) => held).filter((held) => held > 0);
    return [
      {
        lineage,
        share: shareDone(target, reps),
        reps: reps.length,
        heldSeconds: Math.round(holds.reduce((sum, held) => sum + held, 0)),
        hold: middle(holds),
        sets: repsOfSets(reps),
        skipped,
      },
    ];
  });
}

function middle(holds: readonly number[]): number | null {
  const found = [...holds].sort((a, b) => a - b)[Math.floor(holds.length / 2)];
  return found === undefined ? null : Math.round(found * 10) / 10;
}

/**
 * Repetitions of each set in order. A set is done on both sides, in all directions and in every
 * round, and counts for as many as the poorest of them.
 *
 * @example repsOfSets(tenOnTheLeftAndEightOnTheRight) // [8]
 */
export function repsOfSets(reps: readonly RepDone[]): number[] {
  const counts = new Map<string, Map<number, number>>();
  for (const { round, side, direction, station, set } of reps) {
    const place = `${round} ${side} ${direction} ${station}`;
    const sets = counts.get(place) ?? new Map<number, number>();
    sets.set(set, (sets.get(set) ?? 0) + 1);
    counts.set(place, sets);
  }
  const numbers = [...new Set(reps.map(({ set }) => set))].sort((a, b) => a - b);
  return numbers.map((set) => Math.min(...[...counts.values()].map((sets) => sets.get(set) ?? 0)));
}
