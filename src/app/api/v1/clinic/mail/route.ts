import { MailDraft } from '@/core/records';
import { handler } from '@/server/handler';
import { saveMail } from '@/server/mail/settings';

export const POST = handler({
  who: 'lead',
  input: MailDraft,
  run: async ({ actor, input }) => {
    await saveMail(actor, input);
    return {};
  },
});
