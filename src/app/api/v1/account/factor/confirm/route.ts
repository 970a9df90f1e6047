import { FactorConfirm } from '@/core/records';
import { handler } from '@/server/handler';
import { confirmOwnFactor } from '@/server/second-factor';

export const POST = handler({
  who: 'any member',
  input: FactorConfirm,
  run: async ({ actor, input }) => ({
    value: { codes: await confirmOwnFactor(actor, input.code) },
  }),
});
