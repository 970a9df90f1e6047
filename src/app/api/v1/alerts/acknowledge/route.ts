import { z } from 'zod';
import { handler } from '@/server/handler';
import { acknowledge } from '@/server/people';

export const POST = handler({
  who: 'practitioner',
  input: z.object({ alertId: z.string().min(1).max(120) }),
  run: async ({ actor, input }) => ({ value: await acknowledge(actor, input.alertId) }),
});
