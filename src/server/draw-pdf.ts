import type { Worker } from 'node:worker_threads';
import type { PdfAnswer, PdfOrder } from '@/pdf/order';
import { pdfThread } from '@/pdf/thread';
import { logFailure, Problem } from './problem';
import { processWide } from '@/db/process-wide';

/** A sheet that takes longer is given up, milliseconds. */
export const LONGEST_MS = 60_000;
/** Sheets drawn at once: the rest of the machine answers everybody else. */
const THREADS = 1;
/** Sheets that may wait; whoever comes then is told to come again. */
const MOST_WAITING = 20;

const TOO_LONG = new Problem(
  503,
  'Drawing the sheet took too long and was given up. Print the page from the browser instead, or send fewer exercises.',
);
const TOO_MANY = new Problem(503, 'Many sheets are being drawn just now. Try again in a minute.');
const FAILED = new Problem(
  500,
  'The sheet could not be drawn. Print the page from the browser instead.',
);

/** Who asked, and whether they are still there. */
export type PdfAsked = { readonly for: string; readonly signal: AbortSignal };

type Job = {
  readonly order: PdfOrder;
  readonly asked: PdfAsked;
  readonly done: (bytes: Uint8Array<ArrayBuffer>) => void;
  readonly failed: (why: Error) => void;
};

/** Threads and queue. */
type House = { idle: Worker[]; running: Set<Job>; waiting: Job[] };
const place = processWide<House>('pdf');
const house = (): House => (place.value ??= { idle: [], running: new Set(), waiting: [] });

/**
 * Draws a sheet in a thread of its own, one at a time for each member and few at once; it is given up
 * when it takes too long or too much, or nobody waits for it any more.
 *
 * @throws Problem 503 when it was given up or too many wait, 500 when it cannot be drawn
 */
export function drawPdf(order: PdfOrder, asked: PdfAsked): Promise<Uint8Array<ArrayBuffer>> {
  const { waiting } = house();
  if (waiting.length >= MOST_WAITING) return Promise.reject(TOO_MANY);
  return new Promise((done, failed) => {
    waiting.push({ order, asked, done, failed });
    next();
  });
}

/** Begins the next job that may run. */
function next(): void {
  const { running, waiting, idle } = house();
  if (running.size >= THREADS) return;
  const busy = new Set([...running].map(({ asked }) => asked.for));
  const index = waiting.findIndex(({ asked }) => !busy.has(asked.for));
  const [job] = index === -1 ? [] : waiting.splice(index, 1);
  if (!job) return;
  running.add(job);
  const thread = idle.pop() ?? pdfThread();
  void run(job, thread).then((still) => {
    running.delete(job);
    if (still) rest(thread);
    next();
  });
}

/** Keeps a thread for the next sheet; it does not keep the process. */
function rest(thread: Worker): void {
  thread.unref();
  house().idle.push(thread);
}

/** Runs one job; true when the thread can go on. */
function run(job: Job, thread: Worker): Promise<boolean> {
  const { signal } = job.asked;
  return new Promise((end) => {
    let ended = false;
    const finish = (outcome: Uint8Array<ArrayBuffer> | Error, still: boolean) => {
      if (ended) return;
      ended = true;
      clearTimeout(timer);
      signal.removeEventListener('abort', left);
      // By name: a thread all of whose listeners are removed hears nothing any more.
      thread.off('message', answered).off('error', broken).off('exit', gone);
      if (!still) void thread.terminate();
      if (outcome instanceof Error) job.failed(outcome);
      else job.done(outcome);
      end(still);
    };
    const left = () => finish(TOO_LONG, false);
    const timer = setTimeout(() => finish(TOO_LONG, false), LONGEST_MS);
    const answered = (answer: PdfAnswer) => {
      if (answer.failed === undefined) return finish(answer.bytes, true);
      logFailure(`pdf ${answer.failed}`, FAILED);
      finish(FAILED, true);
    };
    // Out of memory, or the code itself cannot be loaded.
    const broken = (error: Error) => {
      logFailure('pdf', error);
      finish(FAILED, false);
    };
    const gone = () => finish(FAILED, false);
    thread.on('message', answered).on('error', broken).on('exit', gone);
    signal.addEventListener('abort', left);
    if (signal.aborted) return left();
    thread.ref();
    thread.postMessage(job.order);
  });
}
