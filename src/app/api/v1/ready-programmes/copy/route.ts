import { CopyReady } from '@/core/records';
import { copyReady } from '@/server/desk/programme-files';
import { handler } from '@/server/handler';

export const POST = handler({
  who: 'practitioner',
  input: CopyReady,
  run: async ({ actor, input }) => ({ value: await copyReady(actor, input) }),
});
