import { EVENTS_BODY_LIMIT } from '@/core/adherence';
import { EventsPosted } from '@/core/records';
import { handler } from '@/server/handler';
import { takeIn } from '@/server/take-in';

export const POST = handler({
  who: 'patient',
  input: EventsPosted,
  limit: EVENTS_BODY_LIMIT,
  run: async ({ actor, input }) => ({ value: await takeIn(actor, input) }),
});
