import { parentPort } from 'node:worker_threads';
import { closeDatabase } from '@/db';
import { logFailure } from '../problem';
import type { RowsAnswer, RowsOrder } from './rows-order';
import { rowsFor } from './triage';

/** One order after the other, in the order they were asked for. */
let last: Promise<void> = Promise.resolve();

parentPort?.on('message', (order: RowsOrder | 'end') => {
  last = last.then(async () => {
    if (order === 'end') {
      closeDatabase();
      parentPort?.close();
      return;
    }
    const { id, clinicId, patientIds } = order;
    let answer: RowsAnswer = { id, rows: null };
    try {
      answer = { id, rows: await rowsFor(clinicId, patientIds) };
    } catch (error) {
      logFailure('rows thread', error);
    }
    parentPort?.postMessage(answer);
  });
});
