import { ImportCheck } from '@/core/records';
import { handler } from '@/server/handler';
import { checkRows } from '@/server/import-patients';

/** Looks at rows of a table; nothing is written. */
export const POST = handler({
  who: 'practitioner',
  input: ImportCheck,
  limit: 256 * 1024,
  run: async ({ actor, input }) => ({ value: await checkRows(actor, input.rows) }),
});
