import { ComplaintDraft } from '@/core/records';
import { correctComplaint } from '@/server/episodes';
import { handler } from '@/server/handler';

export const POST = handler({
  who: 'practitioner',
  input: ComplaintDraft,
  run: async ({ actor, input }) => {
    await correctComplaint(actor, input);
    return {};
  },
});
