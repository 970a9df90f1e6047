import { PatientCalled } from '@/core/records';
import { patientsToPrescribe } from '@/server/desk/prescribe-to';
import { handler } from '@/server/handler';

/** Patients by what was typed of their name; it travels in the body, never in an address. */
export const POST = handler({
  who: 'practitioner',
  input: PatientCalled,
  run: async ({ actor, input }) => ({ value: await patientsToPrescribe(actor, input) }),
});
