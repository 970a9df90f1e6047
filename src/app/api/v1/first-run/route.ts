import { FirstRunDraft } from '@/core/records';
import { handler } from '@/server/handler';
import { setUpClinic } from '@/server/first-run';

export const POST = handler({
  who: 'anyone',
  input: FirstRunDraft,
  run: async ({ input }) => {
    await setUpClinic(input);
    return {};
  },
});
