import { Worker } from 'node:worker_threads';
import { oneAtATime } from '../one-at-a-time';
import { Problem, logFailure } from '../problem';
import type { InOrder, InReport } from './in-job';
import type { OutOrder } from './out-job';
import { processWide } from '@/db/process-wide';

/** An order as it crosses over to the thread. */
export type RecordOrder =
  | ({ readonly kind: 'out' } & OutOrder)
  | ({ readonly kind: 'in' } & InOrder);
/** What the thread answers. */
export type RecordReport =
  | { readonly kind: 'out'; readonly bytes: Uint8Array | null }
  | { readonly kind: 'in'; readonly report: InReport }
  | { readonly kind: 'failed'; readonly name: string };

/** A record that takes longer is given up, milliseconds. */
const LONGEST_MS = 120_000;
/** What a thread may take of the memory: a record of years, unpacked, and what is made of it. */
const MOST_MEMORY_MB = 1536;
/** Records that may wait, each with its bytes. */
const MOST_WAITING = 3;

const queue = processWide<ReturnType<typeof oneAtATime>>('whole-record');
const inLine = () =>
  (queue.value ??= oneAtATime(
    MOST_WAITING,
    () =>
      new Problem(
        503,
        'Several records are being taken in or out just now. Try again in a minute.',
      ),
  ));

const GIVEN_UP = new Problem(
  503,
  'This record took too long or too much memory and was given up. Nothing was changed. Ask whoever looks after the server.',
);

/**
 * Takes a record out or in, in a thread of its own, one at a time.
 *
 * @throws Problem 503 where many wait or it took too long
 */
export function recordInThread(order: RecordOrder): Promise<RecordReport> {
  return inLine()(
    () =>
      new Promise((resolve, reject) => {
        const thread = new Worker(new URL('./record.worker.ts', import.meta.url), {
          workerData: order,
          resourceLimits: { maxOldGenerationSizeMb: MOST_MEMORY_MB },
        });
        const end = (then: () => void) => {
          clearTimeout(timer);
          void thread.terminate();
          then();
        };
        const timer = setTimeout(() => end(() => reject(GIVEN_UP)), LONGEST_MS);
        thread.once('message', (report: RecordReport) => {
          if (report.kind === 'failed') logFailure(`whole record ${report.name}`, GIVEN_UP);
          end(() => resolve(report));
        });
        thread.once('error', (error) => {
          logFailure('whole record', error);
          end(() => reject(GIVEN_UP));
        });
        thread.once('exit', () => end(() => reject(GIVEN_UP)));
      }),
  );
}
