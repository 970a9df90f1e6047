import { z } from 'zod';
import { recordId } from '@/core/records';
import { handler } from '@/server/handler';
import { setActive } from '@/server/people';

export const POST = handler({
  who: 'lead',
  input: z.object({ memberId: recordId, active: z.boolean() }),
  run: async ({ actor, input }) => ({
    value: await setActive(actor, input.memberId, input.active),
  }),
});
