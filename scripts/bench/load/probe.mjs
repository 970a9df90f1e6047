import { appendFileSync } from 'node:fs';
import { monitorEventLoopDelay } from 'node:perf_hooks';
import { isMainThread } from 'node:worker_threads';

/**
 * Loaded into the measured server (`--import`): how late its timers fire, and what its memory is made
 * of. At SIGUSR2 one line of JSON is written to LOAD_PROBE and the count begins anew. Milliseconds,
 * without the timer's own period; megabytes of the whole process, and of its first thread's heap.
 */
const PERIOD_MS = 5;
const file = process.env.LOAD_PROBE;
if (file && isMainThread) {
  const delay = monitorEventLoopDelay({ resolution: PERIOD_MS });
  delay.enable();
  process.on('SIGUSR2', () => {
    const late = (nanoseconds) => Math.max(0, nanoseconds / 1e6 - PERIOD_MS);
    const { rss, heapTotal, heapUsed, external } = process.memoryUsage();
    appendFileSync(
      file,
      `${JSON.stringify({
        middle: late(delay.percentile(50)),
        p999: late(delay.percentile(99.9)),
        max: late(delay.max),
        megabytes: rss / 1e6,
        heapTotal: heapTotal / 1e6,
        heapUsed: heapUsed / 1e6,
        external: external / 1e6,
      })}\n`,
    );
    delay.reset();
  });
}
