import { parentPort, workerData } from 'node:worker_threads';
import { purgeDatabase } from './purge';

void purgeDatabase(workerData as string).then(
  () => parentPort?.postMessage(true),
  () => parentPort?.postMessage(false),
);
