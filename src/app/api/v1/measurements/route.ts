import { MeasurementsDraft } from '@/core/records';
import { handler } from '@/server/handler';
import { saveMeasurements } from '@/server/visit/measuring';

export const POST = handler({
  who: 'assistant',
  input: MeasurementsDraft,
  limit: 512 * 1024,
  run: async ({ actor, input }) => ({ value: await saveMeasurements(actor, input) }),
});
