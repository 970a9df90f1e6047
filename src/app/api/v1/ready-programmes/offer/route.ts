import { OfferReady } from '@/core/records';
import { offerReady } from '@/server/desk/ready';
import { handler } from '@/server/handler';

export const POST = handler({
  who: 'practitioner',
  input: OfferReady,
  run: async ({ actor, input }) => ({ value: await offerReady(actor, input) }),
});
