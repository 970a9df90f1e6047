import { Worker } from 'node:worker_threads';

/**
 * Purges a database in a thread of its own.
 *
 * @returns false when it could not be done; what was deleted may then still be read in the file
 */
export function purgeInThread(url: string): Promise<boolean> {
  const thread = new Worker(new URL('./purge.worker.ts', import.meta.url), { workerData: url });
  return new Promise((resolve) => {
    const failed = () => resolve(false);
    thread.once('message', (done: boolean) => resolve(done));
    thread.once('error', failed);
    thread.once('exit', failed);
  });
}
