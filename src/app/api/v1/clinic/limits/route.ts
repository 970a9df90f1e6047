import { LimitsFileTaken } from '@/core/records';
import { handler } from '@/server/handler';
import { takeLimits } from '@/server/limits-file';

/** Takes a file's limits in the place of the clinic's own. */
export const POST = handler({
  who: 'lead',
  input: LimitsFileTaken,
  limit: 512 * 1024,
  run: async ({ actor, input }) => ({ value: await takeLimits(actor, input) }),
});
