import { ProposalDecisionDraft } from '@/core/records';
import { decideProposal } from '@/server/follow/decide';
import { handler } from '@/server/handler';

export const POST = handler({
  who: 'practitioner',
  input: ProposalDecisionDraft,
  run: async ({ actor, input }) => ({ value: await decideProposal(actor, input) }),
});
