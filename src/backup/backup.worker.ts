import { parentPort, workerData } from 'node:worker_threads';
import { type BackupOrder, makeBackup } from './make';
import { BackupProblem } from './problem';
import { secretFrom } from './secret';

/** An order as it crosses over to the thread: what locks it is read there. */
export type BackupTask = Omit<BackupOrder, 'secret'> & {
  readonly locks: Parameters<typeof secretFrom>[0];
};
export type BackupReport =
  | { readonly ok: true; readonly rows: number; readonly bytes: number }
  | { readonly ok: false; readonly say: string };

/** Makes one backup beside the server's event loop. */
async function report(): Promise<BackupReport> {
  try {
    const { locks, ...task } = workerData as BackupTask;
    const { rows, bytes } = await makeBackup({ ...task, secret: secretFrom(locks) });
    return { ok: true, rows, bytes };
  } catch (error) {
    return {
      ok: false,
      say: error instanceof BackupProblem ? error.say : 'The backup could not be made.',
    };
  }
}

void report().then((said) => parentPort?.postMessage(said));
