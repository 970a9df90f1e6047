import { EventsPosted } from '@/core/records';
import { handler } from '@/server/handler';
import { takeIn } from '@/server/take-in';

export const POST = handler({
  who: 'patient',
  input: EventsPosted,
  limit: 1024 * 1024,
  run: async ({ actor, input }) => ({ value: await takeIn(actor, input) }),
});
