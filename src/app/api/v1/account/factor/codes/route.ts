import { OwnPassword } from '@/core/records';
import { handler } from '@/server/handler';
import { renewBackupCodes } from '@/server/second-factor';

export const POST = handler({
  who: 'assistant',
  input: OwnPassword,
  run: async ({ actor, input }) => ({
    value: { codes: await renewBackupCodes(actor, input.password) },
  }),
});
