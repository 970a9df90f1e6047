import { PatientSettings } from '@/core/records';
import { handler } from '@/server/handler';
import { saveSettings } from '@/server/patient/settings';

export const POST = handler({
  who: 'patient',
  input: PatientSettings,
  run: async ({ actor, input }) => ({ value: await saveSettings(actor, input) }),
});
