import { MailTest } from '@/core/records';
import { handler } from '@/server/handler';
import { testMail } from '@/server/mail/settings';

export const POST = handler({
  who: 'lead',
  input: MailTest,
  run: async ({ actor }) => ({ value: await testMail(actor) }),
});
