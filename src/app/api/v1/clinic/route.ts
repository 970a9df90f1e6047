import { ClinicDraft } from '@/core/records';
import { handler } from '@/server/handler';
import { changeClinic } from '@/server/people';

export const POST = handler({
  who: 'lead',
  input: ClinicDraft,
  run: async ({ actor, input }) => ({ value: await changeClinic(actor, input) }),
});
