import { OwnPassword } from '@/core/records';
import { handler } from '@/server/handler';
import { removeOwnFactor } from '@/server/second-factor';

export const POST = handler({
  who: 'assistant',
  input: OwnPassword,
  run: async ({ actor, input }) => ({ value: await removeOwnFactor(actor, input.password) }),
});
