import { ForeignDraft } from '@/core/records';
import { takeForeign } from '@/server/foreign-record';
import { handler } from '@/server/handler';

/** Takes in what another system says of a patient. */
export const POST = handler({
  who: 'practitioner',
  input: ForeignDraft,
  limit: 1024 * 1024,
  run: async ({ actor, input }) => ({ value: await takeForeign(actor, input) }),
});
