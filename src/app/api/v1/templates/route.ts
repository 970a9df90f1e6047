import { TemplateDraft } from '@/core/records';
import { saveTemplate } from '@/server/desk/templates';
import { handler } from '@/server/handler';

export const POST = handler({
  who: 'practitioner',
  input: TemplateDraft,
  limit: 512 * 1024,
  run: async ({ actor, input }) => ({ value: await saveTemplate(actor, input) }),
});
