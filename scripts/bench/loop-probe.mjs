import { appendFileSync } from 'node:fs';
import { monitorEventLoopDelay } from 'node:perf_hooks';

/**
 * Loaded into the measured server (`--import`): how late its timers fire. At SIGUSR2 one line of JSON
 * is written to LOOP_PROBE and the count begins anew. Milliseconds, without the timer's own period.
 */
const PERIOD_MS = 5;
const file = process.env.LOOP_PROBE;
if (file) {
  const delay = monitorEventLoopDelay({ resolution: PERIOD_MS });
  delay.enable();
  process.on('SIGUSR2', () => {
    const late = (nanoseconds) => Math.max(0, nanoseconds / 1e6 - PERIOD_MS);
    const { rss } = process.memoryUsage();
    appendFileSync(
      file,
      `${JSON.stringify({
        middle: late(delay.percentile(50)),
        p999: late(delay.percentile(99.9)),
        max: late(delay.max),
        megabytes: rss / 1e6,
      })}\n`,
    );
    delay.reset();
  });
}
