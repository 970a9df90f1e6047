import { OpeningDraft } from '@/core/records';
import { handler } from '@/server/handler';
import { openClosedFile } from '@/server/files';

export const POST = handler({
  who: 'assistant',
  input: OpeningDraft,
  run: async ({ actor, input }) => ({ value: await openClosedFile(actor, input) }),
});
