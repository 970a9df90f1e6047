import { AtHandDraft } from '@/core/records';
import { takeInHand } from '@/server/at-hand';
import { handler } from '@/server/handler';

export const POST = handler({
  who: 'assistant',
  anyEpisode: true,
  input: AtHandDraft,
  run: async ({ actor, input }) => {
    await takeInHand(actor, input);
    return {};
  },
});
