import { inJob } from '@/server/whole-record/in-job';
import { outJob } from '@/server/whole-record/out-job';
import type { RecordOrder, RecordReport } from '../../src/server/whole-record/thread';

/** A record's job in the test's own thread, where its database is open. */
export async function recordInThread(order: RecordOrder): Promise<RecordReport> {
  return order.kind === 'out'
    ? { kind: 'out', bytes: await outJob(order) }
    : { kind: 'in', report: await inJob(order) };
}
