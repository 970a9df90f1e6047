import { AllowedDraft } from '@/core/records';
import { handler } from '@/server/handler';
import { allow } from '@/server/files';

export const POST = handler({
  who: 'lead',
  input: AllowedDraft,
  run: async ({ actor, input }) => ({ value: await allow(actor, input) }),
});
