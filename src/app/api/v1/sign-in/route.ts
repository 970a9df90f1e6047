import { SignInDraft } from '@/core/records';
import { addressOf } from '@/server/address';
import { setCookie } from '@/server/cookies';
import { handler } from '@/server/handler';
import { signIn } from '@/server/sign-in';

export const POST = handler({
  who: 'anyone',
  input: SignInDraft,
  run: async ({ input, request }) => {
    const token = await signIn(input.email, input.password, addressOf(request));
    return { cookies: (response) => setCookie(response, 'member', token) };
  },
});
