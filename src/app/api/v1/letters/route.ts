import { OutcomeLetterDraft } from '@/core/records';
import { signLetter } from '@/server/follow/letter';
import { handler } from '@/server/handler';

export const POST = handler({
  who: 'practitioner',
  input: OutcomeLetterDraft,
  run: async ({ actor, input }) => ({ value: await signLetter(actor, input) }),
});
