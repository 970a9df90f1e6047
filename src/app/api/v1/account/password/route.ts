import { PasswordChange } from '@/core/records';
import { changePassword } from '@/server/account';
import { handler } from '@/server/handler';

export const POST = handler({
  who: 'assistant',
  input: PasswordChange,
  run: async ({ actor, input }) => ({ value: await changePassword(actor, input) }),
});
