import { ReferralAnswerDraft } from '@/core/records';
import { handler } from '@/server/handler';
import { answerReferral } from '@/server/visit/referral';

export const POST = handler({
  who: 'practitioner',
  input: ReferralAnswerDraft,
  run: async ({ actor, input }) => ({ value: await answerReferral(actor, input) }),
});
