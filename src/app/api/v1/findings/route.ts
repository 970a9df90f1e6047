import { FindingDraft } from '@/core/records';
import { handler } from '@/server/handler';
import { decideFinding } from '@/server/visit/findings';

export const POST = handler({
  who: 'practitioner',
  input: FindingDraft,
  run: async ({ actor, input }) => ({ value: await decideFinding(actor, input) }),
});
