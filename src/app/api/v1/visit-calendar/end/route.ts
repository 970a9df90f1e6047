import { z } from 'zod';
import { handler } from '@/server/handler';
import { finishVisitCalendar } from '@/server/visit/visit-calendar';

export const POST = handler({
  who: 'practitioner',
  input: z.strictObject({}),
  run: async ({ actor }) => {
    await finishVisitCalendar(actor);
    return {};
  },
});
