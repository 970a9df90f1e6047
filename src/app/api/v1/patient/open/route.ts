import { z } from 'zod';
import { setCookie } from '@/server/cookies';
import { currentPatient } from '@/server/current';
import { handler } from '@/server/handler';
import { openLinkHere } from '@/server/links';

export const POST = handler({
  who: 'anyone',
  input: z.object({ token: z.string().min(20).max(100) }),
  run: async ({ input }) => {
    const device = await openLinkHere(input.token, await currentPatient());
    if (device === null) return {};
    return { cookies: (response) => setCookie(response, 'patient', device) };
  },
});
