import { PasswordReset } from '@/core/records';
import { resetPassword } from '@/server/account';
import { handler } from '@/server/handler';

export const POST = handler({
  who: 'anyone',
  input: PasswordReset,
  run: async ({ input }) => ({ value: await resetPassword(input) }),
});
