import { PatientDraft } from '@/core/records';
import { handler } from '@/server/handler';
import { addPatient } from '@/server/people';

export const POST = handler({
  who: 'practitioner',
  input: PatientDraft,
  run: async ({ actor, input }) => ({ value: await addPatient(actor, input) }),
});
