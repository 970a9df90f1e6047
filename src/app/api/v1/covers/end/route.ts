import { CoverEnd } from '@/core/records';
import { finishCover } from '@/server/cover';
import { handler } from '@/server/handler';

export const POST = handler({
  who: 'practitioner',
  input: CoverEnd,
  run: async ({ actor, input }) => {
    await finishCover(actor, input.id);
    return {};
  },
});
