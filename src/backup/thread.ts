import { Worker } from 'node:worker_threads';
import type { BackupReport, BackupTask } from './backup.worker';

/** Makes a backup in a thread of its own. */
export function backupInThread(task: BackupTask): Promise<BackupReport> {
  const thread = new Worker(new URL('./backup.worker.ts', import.meta.url), { workerData: task });
  return new Promise((resolve) => {
    const failed = () => resolve({ ok: false, say: 'The backup could not be made.' });
    thread.once('message', (report: BackupReport) => resolve(report));
    thread.once('error', failed);
    thread.once('exit', failed);
  });
}
