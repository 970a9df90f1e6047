import { PatientSought } from '@/core/records';
import { findPatients } from '@/server/details';
import { handler } from '@/server/handler';

/** Patients by what was typed; it travels in the body, never in an address. */
export const POST = handler({
  who: 'assistant',
  input: PatientSought,
  run: async ({ actor, input }) => ({ value: await findPatients(actor, input.typed) }),
});
