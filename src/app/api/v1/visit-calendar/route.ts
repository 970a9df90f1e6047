import { z } from 'zod';
import { publicOrigin } from '@/server/address';
import { handler } from '@/server/handler';
import { issueVisitCalendar } from '@/server/visit/visit-calendar';

/** Makes the address of one's own calendar of next visits. */
export const POST = handler({
  who: 'practitioner',
  input: z.strictObject({}),
  run: async ({ actor, request }) => {
    const { token } = await issueVisitCalendar(actor);
    return {
      value: { address: `${publicOrigin(request)}/api/v1/visit-calendar/file?token=${token}` },
    };
  },
});
