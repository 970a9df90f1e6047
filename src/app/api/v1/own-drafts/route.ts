import { OwnDraftRecord } from '@/core/records';
import { handler } from '@/server/handler';
import { keepOwnDraft } from '@/server/own-drafts';

export const POST = handler({
  who: 'practitioner',
  input: OwnDraftRecord,
  run: async ({ actor, input }) => ({ value: await keepOwnDraft(actor, input) }),
});
