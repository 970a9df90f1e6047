import { ForeignAsked } from '@/core/records';
import { previewForeign } from '@/server/foreign-record';
import { handler } from '@/server/handler';

/** What a file of another system would bring; nothing is written. */
export const POST = handler({
  who: 'practitioner',
  input: ForeignAsked,
  limit: 1024 * 1024,
  run: async ({ actor, input }) => ({ value: await previewForeign(actor, input) }),
});
