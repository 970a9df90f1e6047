import { SignInDraft } from '@/core/records';
import { setMemberCookie } from '@/server/cookies';
import { handler } from '@/server/handler';
import { signIn } from '@/server/sign-in';

export const POST = handler({
  who: 'anyone',
  input: SignInDraft,
  run: async ({ input }) => {
    const token = await signIn(input.email, input.password);
    return { cookies: (response) => setMemberCookie(response, token) };
  },
});
