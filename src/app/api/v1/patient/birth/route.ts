import { cookiesAreSecure } from '@/server/address';
import { handler } from '@/server/handler';
import { BIRTH_COOKIE, BirthCheck, checkBirth } from '@/server/patient/birth';

export const POST = handler({
  who: 'patient',
  input: BirthCheck,
  run: async ({ actor, input }) => {
    const proof = await checkBirth(actor, input.birthDate);
    return {
      // Until the browser is closed: a found phone asks again.
      cookies: (response) =>
        response.cookies.set(BIRTH_COOKIE, proof, {
          httpOnly: true,
          sameSite: 'lax',
          secure: cookiesAreSecure(),
          path: '/today',
        }),
    };
  },
});
