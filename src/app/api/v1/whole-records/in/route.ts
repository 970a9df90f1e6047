import { z } from 'zod';
import { RECORD_FILE_LIMIT } from '@/core/records';
import { bytesHandler } from '@/server/handler';
import { takeIn } from '@/server/whole-record/take-in';

/** A whole record of another installation: looked at, or taken in. */
export const POST = bytesHandler({
  who: 'practitioner',
  query: z.object({ take: z.enum(['look', 'in']) }),
  limit: RECORD_FILE_LIMIT,
  tooLarge: 'A record’s file is at most 64 MB large. Nothing was taken in.',
  run: async ({ actor, query, bytes }) => ({
    value: await takeIn(actor, bytes, { isWritten: query.take === 'in' }),
  }),
});
