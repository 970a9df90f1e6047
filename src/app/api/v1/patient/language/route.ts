import { OwnLanguage } from '@/core/records';
import { handler } from '@/server/handler';
import { chooseLanguage } from '@/server/patient/settings';

export const POST = handler({
  who: 'patient',
  input: OwnLanguage,
  run: async ({ actor, input }) => {
    await chooseLanguage(actor, input.language);
    return {};
  },
});
