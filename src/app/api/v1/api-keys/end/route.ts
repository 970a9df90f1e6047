import { ApiKeyEnd } from '@/core/records';
import { handler } from '@/server/handler';
import { finishApiKey } from '@/server/read-api/keys';

export const POST = handler({
  who: 'lead',
  input: ApiKeyEnd,
  run: async ({ actor, input }) => {
    await finishApiKey(actor, input.id);
    return {};
  },
});
