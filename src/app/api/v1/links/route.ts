import { z } from 'zod';
import { recordId } from '@/core/records';
import { publicOrigin } from '@/server/address';
import { handler } from '@/server/handler';
import { issueLink } from '@/server/links';

export const POST = handler({
  who: 'assistant',
  input: z.object({ patientId: recordId, answersForWords: z.boolean().default(false) }),
  run: async ({ actor, input, request }) => {
    const { token } = await issueLink(actor, input.patientId, input.answersForWords);
    // Behind the #, the token reaches no server's log.
    return { value: { address: `${publicOrigin(request)}/open#${token}` } };
  },
});
