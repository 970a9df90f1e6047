import { RetireDraft } from '@/core/records';
import { removeTemplate } from '@/server/desk/templates';
import { handler } from '@/server/handler';

export const POST = handler({
  who: 'practitioner',
  input: RetireDraft,
  run: async ({ actor, input }) => ({ value: await removeTemplate(actor, input) }),
});
