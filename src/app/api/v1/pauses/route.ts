import { z } from 'zod';
import { recordId } from '@/core/records';
import { handler } from '@/server/handler';
import { setPaused } from '@/server/save-programme';

export const POST = handler({
  who: 'practitioner',
  input: z.object({ patientId: recordId, paused: z.boolean() }),
  run: async ({ actor, input }) => ({
    value: await setPaused(actor, input.patientId, input.paused),
  }),
});
