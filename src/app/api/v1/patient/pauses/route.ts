import { OwnPause } from '@/core/records';
import { handler } from '@/server/handler';
import { pauseMyself } from '@/server/patient/settings';

export const POST = handler({
  who: 'patient',
  input: OwnPause,
  run: async ({ actor, input }) => ({ value: await pauseMyself(actor, input) }),
});
