import { ApiKeyDraft } from '@/core/records';
import { handler } from '@/server/handler';
import { makeApiKey } from '@/server/read-api/keys';

export const POST = handler({
  who: 'lead',
  input: ApiKeyDraft,
  run: async ({ actor, input }) => ({ value: await makeApiKey(actor, input) }),
});
