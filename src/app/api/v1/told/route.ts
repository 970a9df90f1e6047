import { ToldDraft } from '@/core/records';
import { handler } from '@/server/handler';
import { saveTold } from '@/server/told';

/** A day of a patient without a phone, written down as they told it. */
export const POST = handler({
  who: 'assistant',
  input: ToldDraft,
  run: async ({ actor, input }) => {
    await saveTold(actor, input);
    return {};
  },
});
