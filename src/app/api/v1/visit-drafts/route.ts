import { VisitDraftRecord } from '@/core/records';
import { handler } from '@/server/handler';
import { keepVisitDraft } from '@/server/visit/visit-drafts';

export const POST = handler({
  who: 'assistant',
  input: VisitDraftRecord,
  limit: 256 * 1024,
  run: async ({ actor, input }) => ({ value: await keepVisitDraft(actor, input) }),
});
