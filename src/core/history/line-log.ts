import type { LineTarget, RepDone, SessionSummary, SetCount, SkipReason } from '../adherence';
import { shareDone } from '../adherence';
import { toTenth } from '../units';

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
  /** Sets that the patient counted, in order; left out where none was, and in days of before. */
  readonly counted?: readonly CountedSet[] | undefined;
};

/** A set as it was counted: the poorest of its sides, directions and rounds. */
export type CountedSet = {
  readonly set: number;
  /** Null where it was not counted. */
  readonly reps: number | null;
  readonly load: SetCount['load'];
};

/** What a session says of each of its version's lines; lines it says nothing of are left out. */
export function lineLogs(
  { lines }: Pick<SessionSummary, 'lines'>,
  asked: readonly { readonly lineage: string; readonly target: LineTarget }[],
): LineLog[] {
  return asked.flatMap(({ lineage, target }) => {
    const done = lines.find((line) => line.lineage === lineage);
    if (!done) return [];
    const { reps, counts, skipped, told } = done;
    if (reps.length === 0 && skipped === null && counts.length === 0 && told === null) return [];
    const holds = reps.map(({ held }) => held).filter((held) => held > 0);
    return [
      {
        lineage,
        share: told ?? shareDone(target, reps),
        reps: reps.length,
        heldSeconds: Math.round(holds.reduce((sum, held) => sum + held, 0)),
        hold: middle(holds),
        sets: repsOfSets(reps),
        skipped,
        ...(counts.length > 0 ? { counted: countedSets(counts) } : {}),
      },
    ];
  });
}

/**
 * Counts set by set: a set done in several places counts for as many as the poorest of them, with the
 * lightest load that was noted.
 */
export function countedSets(counts: readonly SetCount[]): CountedSet[] {
  const numbers = [...new Set(counts.map(({ set }) => set))].sort((a, b) => a - b);
  return numbers.map((set) => {
    const mine = counts.filter((count) => count.set === set);
    const told = mine.flatMap(({ reps }) => reps ?? []);
    const [lightest = null] = mine
      .flatMap(({ load }) => load ?? [])
      .sort((a, b) => a.amount - b.amount);
    return { set, reps: told.length > 0 ? Math.min(...told) : null, load: lightest };
  });
}

function middle(holds: readonly number[]): number | null {
  const found = [...holds].sort((a, b) => a - b)[Math.floor(holds.length / 2)];
  return found === undefined ? null : toTenth(found);
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
