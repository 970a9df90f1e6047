import { FirstRunDraft } from '@/core/records';
import { addressOf } from '@/server/address';
import { handler } from '@/server/handler';
import { setUpClinic } from '@/server/first-run';

export const POST = handler({
  who: 'anyone',
  input: FirstRunDraft,
  run: async ({ input, request }) => {
    await setUpClinic(input, addressOf(request));
    return {};
  },
});
