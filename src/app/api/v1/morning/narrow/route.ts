import { NarrowDraft } from '@/core/records';
import { clearCookie, setCookie } from '@/server/cookies';
import { handler } from '@/server/handler';

export const POST = handler({
  who: 'assistant',
  input: NarrowDraft,
  run: ({ input }) => {
    const name = input.name.trim();
    return Promise.resolve({
      cookies: (response) =>
        name === '' ? clearCookie(response, 'narrow') : setCookie(response, 'narrow', name),
    });
  },
});
