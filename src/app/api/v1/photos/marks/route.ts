import { MarkingDraft } from '@/core/records';
import { handler } from '@/server/handler';
import { saveMarking } from '@/server/visit/photos';

export const POST = handler({
  who: 'assistant',
  input: MarkingDraft,
  run: async ({ actor, input }) => ({ value: await saveMarking(actor, input) }),
});
