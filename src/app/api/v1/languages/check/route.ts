import { LanguageCheckDraft } from '@/core/records';
import { checkLanguage } from '@/server/checked-languages';
import { handler } from '@/server/handler';

export const POST = handler({
  who: 'practitioner',
  input: LanguageCheckDraft,
  run: async ({ actor, input }) => {
    await checkLanguage(actor, input);
    return {};
  },
});
