import { ReferralDraft } from '@/core/records';
import { handler } from '@/server/handler';
import { saveReferral } from '@/server/visit/referral';

export const POST = handler({
  who: 'practitioner',
  input: ReferralDraft,
  run: async ({ actor, input }) => ({ value: await saveReferral(actor, input) }),
});
