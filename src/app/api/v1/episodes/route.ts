import { EpisodeDraft } from '@/core/records';
import { openAnother } from '@/server/episodes';
import { handler } from '@/server/handler';

export const POST = handler({
  who: 'practitioner',
  input: EpisodeDraft,
  run: async ({ actor, input }) => {
    await openAnother(actor, input);
    return {};
  },
});
