import { OwnPassword } from '@/core/records';
import { handler } from '@/server/handler';
import { beginFactor } from '@/server/second-factor';

export const POST = handler({
  who: 'any member',
  input: OwnPassword,
  run: async ({ actor, input }) => ({ value: await beginFactor(actor, input.password) }),
});
