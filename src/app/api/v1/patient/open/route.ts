import { z } from 'zod';
import { setCookie } from '@/server/cookies';
import { handler } from '@/server/handler';
import { openLink } from '@/server/links';

export const POST = handler({
  who: 'anyone',
  input: z.object({ token: z.string().min(20).max(100) }),
  run: async ({ input }) => {
    const { device } = await openLink(input.token);
    return { cookies: (response) => setCookie(response, 'patient', device) };
  },
});
