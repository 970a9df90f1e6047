import { z } from 'zod';
import { publicOrigin } from '@/server/address';
import { handler } from '@/server/handler';
import { issueCalendar } from '@/server/patient/calendar';

export const POST = handler({
  who: 'patient',
  input: z.strictObject({}),
  run: async ({ actor, request }) => {
    const { token } = await issueCalendar(actor);
    return { value: { address: `${publicOrigin(request)}/api/v1/calendar?token=${token}` } };
  },
});
