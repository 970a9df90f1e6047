/** What answers, and what it costs. */
export type Machine = {
  /** Each with a core of its own. */
  readonly processes: number;
  /** A post's own work in a process, in the middle, milliseconds. */
  readonly workMs: number;
  /** A post's part of a transaction, during which no other process writes, milliseconds. */
  readonly writeMs: number;
};

export type Crowd = {
  /** 95 of 100 posts are answered within, milliseconds. */
  readonly p95: number;
  /** Whether those who wait do not become more and more. */
  readonly isStable: boolean;
};

/** Numbers between 0 and 1 that are the same for a seed (mulberry32). */
function chance(seed: number): () => number {
  let state = seed;
  return () => {
    state = (state + 0x6d2b79f5) | 0;
    let mixed = Math.imul(state ^ (state >>> 15), 1 | state);
    mixed = (mixed + Math.imul(mixed ^ (mixed >>> 7), 61 | mixed)) ^ mixed;
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 2 ** 32;
  };
}

/** A time around a middle one, as waiting times are: exponential. */
const around = (middle: number, next: () => number) => -middle * Math.log(1 - next());

/**
 * Posts that arrive by chance (Poisson) at some processes in turn, each answered one after the other, with
 * one write at a time over all of them: M/M/1 for each process with a shared lock behind it.
 *
 * @param perSecond posts a second, over all processes
 * @param posts how many are simulated
 * @example crowded({ processes: 1, workMs: 5, writeMs: 0 }, 100, 20_000, 1).p95 // about 30: M/M/1 says 29.96
 */
export function crowded(
  { processes, workMs, writeMs }: Machine,
  perSecond: number,
  posts: number,
  seed: number,
): Crowd {
  const next = chance(seed);
  let clock = 0;
  const coming = Array.from({ length: posts }, () => ({
    at: (clock += around(1000 / perSecond, next)),
    work: around(workMs, next),
    write: writeMs === 0 ? 0 : around(writeMs, next),
  }));
  // Each process takes every so manieth post; who is through with the work first, writes first.
  const turns = Array.from({ length: processes }, (_, who) => ({ post: who, free: 0 }));
  const workedAt = ({ post, free }: (typeof turns)[number]) => {
    const one = coming[post];
    return one ? Math.max(one.at, free) + one.work : Infinity;
  };
  const waits = new Array<number>(posts).fill(0);
  let locked = 0;
  for (let done = 0; done < posts; done += 1) {
    const turn = turns.reduce((a, b) => (workedAt(b) < workedAt(a) ? b : a));
    const one = coming[turn.post];
    if (!one) break;
    const written = Math.max(workedAt(turn), one.write === 0 ? 0 : locked) + one.write;
    if (one.write > 0) locked = written;
    waits[turn.post] = written - one.at;
    turn.free = written;
    turn.post += processes;
  }
  const mean = (from: number) => {
    const part = waits.slice(posts * from, posts * (from + 0.25));
    return part.reduce((sum, wait) => sum + wait, 0) / part.length;
  };
  const busy = (perSecond * (workMs + writeMs)) / 1000 / processes;
  const isLocked = (perSecond * writeMs) / 1000 >= 1;
  // Where more comes than goes, waits grow with time: the last quarter's is 2.3 times the second one's.
  const isStable = busy < 1 && !isLocked && mean(0.75) < 2 * mean(0.25);
  const sorted = [...waits].sort((a, b) => a - b);
  return { p95: sorted[Math.floor(posts * 0.95)] ?? 0, isStable };
}
