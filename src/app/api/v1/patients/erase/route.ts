import { ErasureDraft } from '@/core/records';
import { handler } from '@/server/handler';
import { erasePatient } from '@/server/erase';

export const POST = handler({
  who: 'lead',
  input: ErasureDraft,
  run: async ({ actor, input }) => ({ value: await erasePatient(actor, input) }),
});
