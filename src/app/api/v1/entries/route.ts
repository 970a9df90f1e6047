import { FileEntryDraft } from '@/core/records';
import { handler } from '@/server/handler';
import { saveEntry } from '@/server/visit/entries';

export const POST = handler({
  who: 'assistant',
  input: FileEntryDraft,
  run: async ({ actor, input }) => ({ value: await saveEntry(actor, input) }),
});
