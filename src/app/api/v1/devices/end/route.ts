import { DeviceEnd } from '@/core/records';
import { handler } from '@/server/handler';
import { endDeviceOf } from '@/server/links';

export const POST = handler({
  who: 'assistant',
  input: DeviceEnd,
  run: async ({ actor, input }) => ({
    value: await endDeviceOf(actor, input.patientId, input.device),
  }),
});
