import { ToldBackDraft } from '@/core/records';
import { handler } from '@/server/handler';
import { takeBackTold } from '@/server/told';

/** Takes back what was written down of a day. */
export const POST = handler({
  who: 'assistant',
  input: ToldBackDraft,
  run: async ({ actor, input }) => {
    await takeBackTold(actor, input);
    return {};
  },
});
