import { ProposalsSend } from '@/core/records';
import { sendAccepted } from '@/server/follow/decide';
import { handler } from '@/server/handler';

export const POST = handler({
  who: 'practitioner',
  input: ProposalsSend,
  run: async ({ actor, input }) => ({ value: await sendAccepted(actor, input) }),
});
