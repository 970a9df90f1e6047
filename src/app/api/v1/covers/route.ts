import { CoverDraft } from '@/core/records';
import { saveCover } from '@/server/cover';
import { handler } from '@/server/handler';

export const POST = handler({
  who: 'practitioner',
  input: CoverDraft,
  run: async ({ actor, input }) => {
    await saveCover(actor, input);
    return {};
  },
});
