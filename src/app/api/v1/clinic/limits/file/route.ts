import { z } from 'zod';
import { fileAsked } from '@/server/file-asked';
import { limitsFile } from '@/server/limits-file';

/** The clinic's own limits as a file that another clinic can take. */
export const GET = fileAsked({
  query: z.object({}),
  otherwise: 'There is one file of limits.',
  what: 'limits',
  run: limitsFile,
});
