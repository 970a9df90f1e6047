import { ReadingOrder } from '@/core/records';
import { handler } from '@/server/handler';
import { readingOf } from '@/server/patient-reading';
import { patientFor } from '@/server/people';

/** What a patient will read of a desk; nothing is written. */
export const POST = handler({
  who: 'practitioner',
  input: ReadingOrder,
  limit: 256 * 1024,
  run: async ({ actor, input }) => ({
    value: await readingOf(await patientFor(actor, input.patientId), input.lines),
  }),
});
