import { TriageMarkDraft } from '@/core/records';
import { markTriage } from '@/server/follow/marks';
import { handler } from '@/server/handler';

export const POST = handler({
  who: 'practitioner',
  input: TriageMarkDraft,
  run: async ({ actor, input }) => ({ value: await markTriage(actor, input) }),
});
