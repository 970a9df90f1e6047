import { TriageLimitsDraft } from '@/core/records';
import { saveTriageLimits } from '@/server/follow/marks';
import { handler } from '@/server/handler';

export const POST = handler({
  who: 'lead',
  input: TriageLimitsDraft,
  run: async ({ actor, input }) => ({ value: await saveTriageLimits(actor, input) }),
});
