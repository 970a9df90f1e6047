import { DeskDraft } from '@/core/records';
import { keepDraft } from '@/server/desk/drafts';
import { handler } from '@/server/handler';

export const POST = handler({
  who: 'practitioner',
  input: DeskDraft,
  limit: 1024 * 1024,
  run: async ({ actor, input }) => ({ value: await keepDraft(actor, input) }),
});
