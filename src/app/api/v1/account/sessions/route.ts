import { z } from 'zod';
import { endOwnSession } from '@/server/account';
import { handler } from '@/server/handler';

export const POST = handler({
  who: 'assistant',
  input: z.object({ session: z.string().max(100) }),
  run: async ({ actor, input }) => ({ value: await endOwnSession(actor, input.session) }),
});
