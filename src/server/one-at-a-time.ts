/**
 * A queue for work that takes much of the machine: one job runs, few wait.
 *
 * @param mostWaiting how many may wait behind the one that runs
 * @param tooMany what whoever comes then is told
 */
export function oneAtATime(mostWaiting: number, tooMany: () => Error) {
  let waiting = 0;
  let last: Promise<unknown> = Promise.resolve();
  return async <T>(job: () => Promise<T>): Promise<T> => {
    if (waiting > mostWaiting) throw tooMany();
    waiting += 1;
    const mine = last.then(job).finally(() => {
      waiting -= 1;
    });
    last = mine.catch(() => undefined);
    return mine;
  };
}
