import { LetterOrder } from '@/core/records';
import { letterById } from '@/server/follow/review';
import { fileHandler } from '@/server/handler';
import { noteLook } from '@/server/looks';
import { patientFor } from '@/server/people';
import { NOT_FOUND, Problem } from '@/server/problem';
import { drawPdf } from '@/server/draw-pdf';

export const POST = fileHandler({
  who: 'assistant',
  input: LetterOrder,
  run: async ({ actor, input, request }) => {
    const patient = await patientFor(actor, input.patientId);
    const found = await letterById(patient, input.id);
    if (!found) throw new Problem(404, NOT_FOUND);
    await noteLook(actor, patient, 'letter');
    return {
      bytes: await drawPdf(
        { kind: 'letter', letter: found.letter, paper: input.paper },
        { for: actor.id, signal: request.signal },
      ),
      type: 'application/pdf',
      name: `${found.letter.kind}-${found.letter.date}.pdf`,
    };
  },
});
