import { LanguageDraft } from '@/core/records';
import { saveLanguage } from '@/server/details';
import { handler } from '@/server/handler';

export const POST = handler({
  who: 'assistant',
  input: LanguageDraft,
  run: async ({ actor, input }) => {
    await saveLanguage(actor, input);
    return {};
  },
});
