import { setImmediate } from 'node:timers/promises';

/** Work in one piece before somebody else is let in, in milliseconds. */
const BITE_MS = 8;

/**
 * Lets waiting requests be answered when this job has held the event loop for a while. The database's
 * client answers synchronously, so that `await` alone lets nobody in.
 *
 * @param clock milliseconds that pass, as a test tells them
 * @returns call it between the pieces of a long job
 */
export function breather(clock = () => performance.now()): () => Promise<void> {
  let since = clock();
  return async () => {
    if (clock() - since < BITE_MS) return;
    await setImmediate();
    since = clock();
  };
}
