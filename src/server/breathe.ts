import { setImmediate } from 'node:timers/promises';

/** Work in one piece before somebody else is let in, in milliseconds. */
const BITE_MS = 8;

/**
 * Lets waiting requests be answered when this job has held the event loop for a while. The database's
 * client answers synchronously, so that `await` alone lets nobody in.
 *
 * @returns call it between the pieces of a long job
 */
export function breather(): () => Promise<void> {
  let since = performance.now();
  return async () => {
    if (performance.now() - since < BITE_MS) return;
    await setImmediate();
    since = performance.now();
  };
}
