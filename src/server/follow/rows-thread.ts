import { Worker } from 'node:worker_threads';
import type { ClinicId, PatientId } from '@/core/units';
import type { TriageRow } from '@/db';
import { logFailure } from '../problem';
import type { RowsAnswer, RowsOrder } from './rows-order';
import { rowsFor } from './triage';
import { processWide } from '@/db/process-wide';

type Asked = {
  readonly order: RowsOrder;
  readonly done: (rows: TriageRow[]) => void;
  readonly failed: (reason: unknown) => void;
};

/** The thread and what it was asked. */
type House = {
  thread: Worker | null;
  readonly asked: Map<number, Asked>;
  next: number;
  /** The server is ending: nothing new is reckoned. */
  isEnding: boolean;
};
const place = processWide<House>('rows');
const house = (): House =>
  (place.value ??= { thread: null, asked: new Map(), next: 1, isEnding: false });

/**
 * Reckons the rows of these patients in a thread of its own, which reads the database itself, so that
 * nobody else waits for it. Where the thread fails, they are reckoned here: a list without rows is worse
 * than a slow one.
 */
export function rowsInThread(
  clinicId: ClinicId,
  patientIds: readonly PatientId[],
): Promise<TriageRow[]> {
  const { asked } = house();
  const order: RowsOrder = { id: (house().next += 1), clinicId, patientIds };
  return new Promise((done, failed) => {
    // The process ends before anybody could read an answer.
    if (house().isEnding) return;
    asked.set(order.id, { order, done, failed });
    const thread = (house().thread ??= begun());
    thread.ref();
    thread.postMessage(order);
  });
}

/** The longest that the end of a server waits for the thread, in milliseconds. */
const ENDING_MS = 2_000;

/** Ends the thread with the server: what it reckons is finished first, since a read that is cut off ends loudly. */
export async function endRowsThread(): Promise<void> {
  const { thread } = house();
  house().isEnding = true;
  if (!thread) return;
  const ended = new Promise((resolve) => thread.once('exit', resolve));
  house().thread = null;
  thread.postMessage('end');
  await Promise.race([ended, new Promise((resolve) => setTimeout(resolve, ENDING_MS))]);
}

/** A thread that is kept; it does not keep the process when it has nothing to do. */
function begun(): Worker {
  const thread = new Worker(new URL('./rows.worker.ts', import.meta.url));
  const { asked } = house();
  thread.on('message', (answer: RowsAnswer) => {
    const one = asked.get(answer.id);
    asked.delete(answer.id);
    if (asked.size === 0) thread.unref();
    if (!one) return;
    if (answer.rows) one.done(answer.rows);
    else void here(one);
  });
  const gone = (error?: unknown) => {
    if (house().thread !== thread) return;
    house().thread = null;
    if (error instanceof Error) logFailure('rows thread', error);
    for (const one of asked.values()) void here(one);
    asked.clear();
  };
  thread.on('error', gone).on('exit', () => gone());
  return thread;
}

/** Reckons on the spot what the thread did not. */
async function here({ order, done, failed }: Asked): Promise<void> {
  try {
    done(await rowsFor(order.clinicId, order.patientIds));
  } catch (error) {
    failed(error);
  }
}
