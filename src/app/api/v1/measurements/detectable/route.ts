import { DetectableDraft } from '@/core/records';
import { handler } from '@/server/handler';
import { setDetectable } from '@/server/visit/measuring';

export const POST = handler({
  who: 'lead',
  input: DetectableDraft,
  run: async ({ actor, input }) => ({ value: await setDetectable(actor, input) }),
});
