import { MemberDraft } from '@/core/records';
import { handler } from '@/server/handler';
import { addMember } from '@/server/people';

export const POST = handler({
  who: 'lead',
  input: MemberDraft,
  run: async ({ actor, input }) => ({ value: await addMember(actor, input) }),
});
