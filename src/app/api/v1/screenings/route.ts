import { ScreeningDraft } from '@/core/records';
import { handler } from '@/server/handler';
import { saveScreening } from '@/server/visit/screening';

export const POST = handler({
  who: 'assistant',
  input: ScreeningDraft,
  run: async ({ actor, input }) => ({ value: await saveScreening(actor, input) }),
});
