import { readFileSync } from 'node:fs';

/** Columns of the kernel's line about all processors: user, nice, system, idle, iowait, irq, softirq, steal. */
const [IDLE, WAITING, STOLEN] = [3, 4, 7];

/**
 * How much of the processors' time that was wanted between two readings a virtual machine's host gave to
 * others, as the kernel counts it (proc(5), /proc/stat, "steal"). It says how quick an hour was: the same work
 * took up to three times as long from one hour to the next, and nothing in the machine itself showed it.
 *
 * @param before the text of /proc/stat then; and @param after now
 * @returns 0 to 1; null where nothing was wanted, or the system does not count it
 * @example shareTaken('cpu 0 0 0 0 0 0 0 0', 'cpu 60 0 30 500 0 0 0 10') // 0.1
 */
export function shareTaken(before, after) {
  const [then, now] = [before, after].map((text) =>
    /^cpu +(.*)/m
      .exec(text)?.[1]
      .split(' ')
      .slice(0, STOLEN + 1)
      .map(Number),
  );
  if (then?.length !== STOLEN + 1 || now?.length !== STOLEN + 1) return null;
  const spent = now.map((ticks, column) => ticks - then[column]);
  const wanted = spent.reduce(
    (sum, ticks, column) => (column === IDLE || column === WAITING ? sum : sum + ticks),
    0,
  );
  return wanted > 0 ? spent[STOLEN] / wanted : null;
}

function statistics() {
  try {
    return readFileSync('/proc/stat', 'utf8');
  } catch {
    return '';
  }
}

/** Begins to count; what it returns says the share since then in words. */
export function takenAway() {
  const before = statistics();
  return () => {
    const share = shareTaken(before, statistics());
    return share === null ? 'not counted here' : `${(share * 100).toFixed(0)} %`;
  };
}
