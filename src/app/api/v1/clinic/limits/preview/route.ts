import { LimitsFileAsked } from '@/core/records';
import { handler } from '@/server/handler';
import { previewLimits } from '@/server/limits-file';

/** What a file of limits would change; nothing is written. */
export const POST = handler({
  who: 'lead',
  input: LimitsFileAsked,
  limit: 256 * 1024,
  run: async ({ actor, input }) => ({ value: await previewLimits(actor, input.text) }),
});
