import { CorrectionDraft } from '@/core/records';
import { handler } from '@/server/handler';
import { correctPatient } from '@/server/identity';

export const POST = handler({
  who: 'practitioner',
  input: CorrectionDraft,
  run: async ({ actor, input }) => ({ value: await correctPatient(actor, input) }),
});
