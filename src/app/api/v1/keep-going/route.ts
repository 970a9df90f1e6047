import { KeepGoingDraft } from '@/core/records';
import { writeKeepGoing } from '@/server/follow/review';
import { handler } from '@/server/handler';

export const POST = handler({
  who: 'practitioner',
  input: KeepGoingDraft,
  run: async ({ actor, input }) => ({ value: await writeKeepGoing(actor, input) }),
});
