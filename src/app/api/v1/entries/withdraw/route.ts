import { WithdrawDraft } from '@/core/records';
import { handler } from '@/server/handler';
import { withdrawEntry } from '@/server/visit/entries';

export const POST = handler({
  who: 'assistant',
  input: WithdrawDraft,
  run: async ({ actor, input }) => ({ value: await withdrawEntry(actor, input) }),
});
