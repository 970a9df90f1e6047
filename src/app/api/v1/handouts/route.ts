import { HandoutOrder } from '@/core/records';
import { publicOrigin } from '@/server/address';
import { fileHandler } from '@/server/handler';
import { noteLook } from '@/server/looks';
import { patientFor } from '@/server/people';
import { Problem } from '@/server/problem';
import { handoutAddress, handoutOf } from '@/server/visit/handout';
import { handoutFile } from '@/ui/handout/handout-file';
import { drawPdf } from '@/server/draw-pdf';

export const POST = fileHandler({
  who: 'assistant',
  input: HandoutOrder,
  run: async ({ actor, input, request }) => {
    const patient = await patientFor(actor, input.patientId);
    const address = handoutAddress(publicOrigin(request), input.link);
    const handout = await handoutOf(patient, address, 'pictures');
    if (!handout)
      throw new Problem(409, 'There is no programme yet, so there is nothing to print.');
    // Its dots and brackets are not set right by the PDF's library: dots change words.
    if (input.format === 'pdf' && handout.way === 'rtl')
      throw new Problem(409, 'This language is printed from the page, not as a PDF.');
    await noteLook(actor, patient, 'handout');
    const name = `exercises-version-${handout.version}.${input.format}`;
    return input.format === 'pdf'
      ? {
          bytes: await drawPdf(
            { kind: 'handout', handout, paper: input.paper, large: input.large },
            { for: actor.id, signal: request.signal },
          ),
          type: 'application/pdf',
          name,
        }
      : {
          bytes: await handoutFile(handout, input.large),
          type: 'text/html; charset=utf-8',
          name,
        };
  },
});
