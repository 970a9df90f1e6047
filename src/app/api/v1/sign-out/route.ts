import { z } from 'zod';
import { clearCookie } from '@/server/cookies';
import { handler } from '@/server/handler';
import { signOut } from '@/server/sign-in';

export const POST = handler({
  who: 'assistant',
  input: z.object({}),
  run: async ({ actor }) => {
    await signOut(actor);
    return {
      cookies: (response) => {
        clearCookie(response, 'member');
        clearCookie(response, 'narrow');
      },
    };
  },
});
