import { MemberDraft } from '@/core/records';
import { publicOrigin } from '@/server/address';
import { handler } from '@/server/handler';
import { addMember } from '@/server/people';

export const POST = handler({
  who: 'lead',
  input: MemberDraft,
  run: async ({ actor, input, request }) => {
    const { token } = await addMember(actor, input);
    return { value: { address: `${publicOrigin(request)}/reset#${token}` } };
  },
});
