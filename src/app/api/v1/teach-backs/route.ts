import { TeachBackDraft } from '@/core/records';
import { handler } from '@/server/handler';
import { signTeaching } from '@/server/visit/teaching';

export const POST = handler({
  who: 'practitioner',
  input: TeachBackDraft,
  limit: 512 * 1024,
  run: async ({ actor, input }) => ({ value: await signTeaching(actor, input) }),
});
