import { SignInDraft } from '@/core/records';
import { addressOf } from '@/server/address';
import { setCookie } from '@/server/cookies';
import { handler } from '@/server/handler';
import { signIn } from '@/server/sign-in';

export const POST = handler({
  who: 'anyone',
  input: SignInDraft,
  run: async ({ input, request }) => {
    const { email, password, code, clinicId } = input;
    const { token, memberId } = await signIn(email, password, addressOf(request), {
      code,
      clinicId,
    });
    return { value: { memberId }, cookies: (response) => setCookie(response, 'member', token) };
  },
});
