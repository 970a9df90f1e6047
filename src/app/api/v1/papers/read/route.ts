import { PaperAsked } from '@/core/records';
import { handler } from '@/server/handler';
import { readPaper } from '@/server/visit/papers';

export const POST = handler({
  who: 'practitioner',
  input: PaperAsked,
  run: async ({ actor, input }) => {
    await readPaper(actor, input.patientId, input.id);
    return {};
  },
});
