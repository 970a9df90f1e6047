import { writtenWay } from '@/catalogue';
import { LetterOrder } from '@/core/records';
import { clinicTexts } from '@/core/review';
import { letterById } from '@/server/follow/letter';
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
    const { letter } = found;
    const texts = input.own ? letter.own : clinicTexts(letter);
    if (!texts) throw new Problem(404, NOT_FOUND);
    // Its dots and brackets are not set right by the PDF's library: dots change words.
    if (writtenWay(texts.language) === 'rtl')
      throw new Problem(409, 'This language is printed from the page, not as a PDF.');
    await noteLook(actor, patient, 'letter');
    return {
      bytes: await drawPdf(
        { kind: 'letter', letter, texts, paper: input.paper },
        { for: actor.id, signal: request.signal },
      ),
      type: 'application/pdf',
      name: `${letter.kind}-${letter.date}.pdf`,
    };
  },
});
