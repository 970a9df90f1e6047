import { MemberNamed } from '@/core/records';
import { handler } from '@/server/handler';
import { removeFactorOf } from '@/server/second-factor';

export const POST = handler({
  who: 'lead',
  input: MemberNamed,
  run: async ({ actor, input }) => ({ value: await removeFactorOf(actor, input.memberId) }),
});
