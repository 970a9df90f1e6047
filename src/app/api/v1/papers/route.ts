import { PAPER_LIMIT, PAPER_TOO_LARGE, PaperFacts } from '@/core/records';
import { bytesHandler } from '@/server/handler';
import { filePaper } from '@/server/visit/papers';

export const POST = bytesHandler({
  who: 'assistant',
  query: PaperFacts,
  limit: PAPER_LIMIT,
  tooLarge: PAPER_TOO_LARGE,
  run: async ({ actor, query, bytes }) => {
    await filePaper(actor, query, bytes);
    return {};
  },
});
