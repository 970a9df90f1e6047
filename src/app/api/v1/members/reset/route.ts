import { z } from 'zod';
import { recordId } from '@/core/records';
import { issueReset } from '@/server/account';
import { publicOrigin } from '@/server/address';
import { handler } from '@/server/handler';

export const POST = handler({
  who: 'lead',
  input: z.object({ memberId: recordId }),
  run: async ({ actor, input, request }) => {
    const { token } = await issueReset(actor, input.memberId);
    return { value: { address: `${publicOrigin(request)}/reset#${token}` } };
  },
});
