import { ShareDraft } from '@/core/records';
import { handler } from '@/server/handler';
import { show } from '@/server/share/showing';

/** Shows a patient's phone what the desk shows, says that it is still there, or ends it. */
export const POST = handler({
  who: 'practitioner',
  input: ShareDraft,
  run: async ({ actor, input }) => ({ value: await show(actor, input) }),
});
