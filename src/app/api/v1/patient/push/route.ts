import { PushDraft } from '@/core/records';
import { handler } from '@/server/handler';
import { keepPhone } from '@/server/push/settings';

/** Keeps where this phone takes notices. */
export const POST = handler({
  who: 'patient',
  input: PushDraft,
  run: async ({ actor, input }) => ({ value: await keepPhone(actor, input) }),
});
