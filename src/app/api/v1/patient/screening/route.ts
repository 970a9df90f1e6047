import { PatientScreeningDraft } from '@/core/records';
import { handler } from '@/server/handler';
import { saveOwnScreening } from '@/server/visit/screening';

export const POST = handler({
  who: 'patient',
  input: PatientScreeningDraft,
  run: async ({ actor, input }) => ({ value: await saveOwnScreening(actor, input) }),
});
