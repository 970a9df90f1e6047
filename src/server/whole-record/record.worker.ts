import { parentPort, workerData } from 'node:worker_threads';
import { closeDatabase } from '@/db';
import { inJob } from './in-job';
import { outJob } from './out-job';
import type { RecordOrder, RecordReport } from './thread';

/** Takes a record out or in beside the server's event loop. */
async function report(): Promise<RecordReport> {
  const order = workerData as RecordOrder;
  try {
    switch (order.kind) {
      case 'out':
        return { kind: 'out', bytes: await outJob(order) };
      case 'in':
        return { kind: 'in', report: await inJob(order) };
    }
  } catch (error) {
    // Never the message: it may quote the record.
    return { kind: 'failed', name: error instanceof Error ? error.name : 'unknown' };
  } finally {
    closeDatabase();
  }
}

void report().then((said) => parentPort?.postMessage(said));
