import { BandsDraft } from '@/core/records';
import { saveBands } from '@/server/desk/bands';
import { handler } from '@/server/handler';

export const POST = handler({
  who: 'lead',
  input: BandsDraft,
  run: async ({ actor, input }) => ({ value: await saveBands(actor, input) }),
});
