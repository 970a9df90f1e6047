import { z } from 'zod';
import { recordId } from '@/core/records';
import { handler } from '@/server/handler';
import { revokeLink } from '@/server/links';

export const POST = handler({
  who: 'assistant',
  input: z.object({ patientId: recordId }),
  run: async ({ actor, input }) => ({ value: await revokeLink(actor, input.patientId) }),
});
