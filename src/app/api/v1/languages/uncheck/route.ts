import { LanguageCheckEnd } from '@/core/records';
import { uncheckLanguage } from '@/server/checked-languages';
import { handler } from '@/server/handler';

export const POST = handler({
  who: 'practitioner',
  input: LanguageCheckEnd,
  run: async ({ actor, input }) => {
    await uncheckLanguage(actor, input.language);
    return {};
  },
});
