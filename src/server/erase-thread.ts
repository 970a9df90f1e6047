import { Worker } from 'node:worker_threads';
import type { EraseOrder, EraseReport } from './erase-job';

/** Carries an erasure out in a thread of its own. */
export function eraseInThread(order: EraseOrder): Promise<EraseReport> {
  const thread = new Worker(new URL('./erase.worker.ts', import.meta.url), { workerData: order });
  return new Promise((resolve) => {
    const failed = () => resolve({ kind: 'failed', busy: false });
    thread.once('message', (report: EraseReport) => resolve(report));
    thread.once('error', failed);
    thread.once('exit', failed);
  });
}
