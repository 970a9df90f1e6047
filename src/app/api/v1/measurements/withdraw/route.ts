import { WithdrawDraft } from '@/core/records';
import { handler } from '@/server/handler';
import { withdrawMeasurement } from '@/server/visit/measuring';

export const POST = handler({
  who: 'assistant',
  input: WithdrawDraft,
  run: async ({ actor, input }) => ({ value: await withdrawMeasurement(actor, input) }),
});
