import { LetterOrder } from '@/core/records';
import { letterById } from '@/server/follow/review';
import { fileHandler } from '@/server/handler';
import { patientFor } from '@/server/people';
import { NOT_FOUND, Problem } from '@/server/problem';
import { letterPdf } from '@/ui/follow/letter-pdf';

export const POST = fileHandler({
  who: 'assistant',
  input: LetterOrder,
  run: async ({ actor, input }) => {
    const found = await letterById(await patientFor(actor, input.patientId), input.id);
    if (!found) throw new Problem(404, NOT_FOUND);
    return {
      bytes: await letterPdf(found.letter, input.paper),
      type: 'application/pdf',
      name: `${found.letter.kind}-${found.letter.date}.pdf`,
    };
  },
});
