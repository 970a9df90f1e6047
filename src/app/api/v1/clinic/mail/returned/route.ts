import { z } from 'zod';
import { bytesHandler } from '@/server/handler';
import { RETURNED_LIMIT, takeReturned } from '@/server/mail/returned';

export const POST = bytesHandler({
  who: 'assistant',
  query: z.object({}),
  limit: RETURNED_LIMIT,
  tooLarge: 'A report on a mail is at most 256 kB. Nothing was taken in.',
  run: async ({ actor, bytes }) => ({ value: await takeReturned(actor, bytes) }),
});
