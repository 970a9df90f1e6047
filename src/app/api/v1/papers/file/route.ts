import { PaperAsked } from '@/core/records';
import { fileHandler } from '@/server/handler';
import { openPaper } from '@/server/visit/papers';

/** A paper, always to be saved: what came from outside is never shown within our own pages. */
export const POST = fileHandler({
  who: 'assistant',
  input: PaperAsked,
  run: async ({ actor, input }) => {
    const { bytes, mediaType, receivedOn } = await openPaper(actor, input.patientId, input.id);
    const ending = mediaType === 'application/pdf' ? 'pdf' : 'jpg';
    return { bytes, type: mediaType, name: `paper-${receivedOn}.${ending}` };
  },
});
