import { parentPort, workerData } from 'node:worker_threads';
import { type EraseOrder, eraseJob } from './erase-job';

void eraseJob(workerData as EraseOrder).then((report) => {
  parentPort?.postMessage(report);
});
