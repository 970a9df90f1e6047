import { HandOverDraft } from '@/core/records';
import { handler } from '@/server/handler';
import { handOverPatients } from '@/server/files';

export const POST = handler({
  who: 'lead',
  input: HandOverDraft,
  run: async ({ actor, input }) => ({ value: await handOverPatients(actor, input) }),
});
