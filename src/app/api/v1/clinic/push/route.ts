import { PushSwitch } from '@/core/records';
import { handler } from '@/server/handler';
import { switchPush } from '@/server/push/settings';

/** Turns the clinic's notices to phones on or off. */
export const POST = handler({
  who: 'lead',
  input: PushSwitch,
  run: async ({ actor, input }) => ({ value: await switchPush(actor, input) }),
});
