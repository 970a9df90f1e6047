import { DetailsDraft } from '@/core/records';
import { saveDetails } from '@/server/details';
import { handler } from '@/server/handler';

export const POST = handler({
  who: 'assistant',
  input: DetailsDraft,
  run: async ({ actor, input }) => {
    await saveDetails(actor, input);
    return {};
  },
});
