import { parentPort } from 'node:worker_threads';
import { logFailure } from '../problem';
import type { RowsAnswer, RowsOrder } from './rows-order';
import { rowsFor } from './triage';

/** One order after the other, in the order they were asked for. */
let last: Promise<void> = Promise.resolve();

parentPort?.on('message', ({ id, clinicId, patientIds }: RowsOrder) => {
  last = last.then(async () => {
    let answer: RowsAnswer = { id, rows: null };
    try {
      answer = { id, rows: await rowsFor(clinicId, patientIds) };
    } catch (error) {
      logFailure('rows thread', error);
    }
    parentPort?.postMessage(answer);
  });
});
