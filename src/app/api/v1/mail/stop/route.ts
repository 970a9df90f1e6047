import { MailStop } from '@/core/records';
import { handler } from '@/server/handler';
import { stopMails } from '@/server/mail/stop';

export const POST = handler({
  who: 'anyone',
  input: MailStop,
  run: async ({ input }) => {
    await stopMails(input.token);
    return {};
  },
});
