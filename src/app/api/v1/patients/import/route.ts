import { ImportDraft } from '@/core/records';
import { handler } from '@/server/handler';
import { importRows } from '@/server/import-patients';

export const POST = handler({
  who: 'practitioner',
  input: ImportDraft,
  limit: 256 * 1024,
  run: async ({ actor, input }) => ({ value: await importRows(actor, input) }),
});
