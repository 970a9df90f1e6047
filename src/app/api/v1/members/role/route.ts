import { RoleChange } from '@/core/records';
import { changeRole } from '@/server/account';
import { handler } from '@/server/handler';

export const POST = handler({
  who: 'lead',
  input: RoleChange,
  run: async ({ actor, input }) => ({ value: await changeRole(actor, input) }),
});
