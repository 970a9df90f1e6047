/**
 * A job that is asked for often and done seldom: not before `periodMs` have gone by since it was made,
 * and since it was last done. One that failed is asked for again.
 *
 * @param clock milliseconds, of a clock that only goes on
 */
export function atMostEvery(
  periodMs: number,
  job: () => Promise<void>,
  clock: () => number = () => performance.now(),
): () => Promise<void> {
  let last = clock();
  return async () => {
    const at = clock();
    if (at - last < periodMs) return;
    await job();
    last = at;
  };
}
