import { ScreeningDecisionDraft } from '@/core/records';
import { handler } from '@/server/handler';
import { decideScreening } from '@/server/visit/screening';

export const POST = handler({
  who: 'practitioner',
  input: ScreeningDecisionDraft,
  run: async ({ actor, input }) => ({ value: await decideScreening(actor, input) }),
});
