import { SafetyDraft } from '@/core/records';
import { handler } from '@/server/handler';
import { changeSafety } from '@/server/erase';

export const POST = handler({
  who: 'lead',
  input: SafetyDraft,
  run: async ({ actor, input }) => ({ value: await changeSafety(actor, input) }),
});
