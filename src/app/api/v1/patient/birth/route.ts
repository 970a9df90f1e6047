import { setCookie } from '@/server/cookies';
import { handler } from '@/server/handler';
import { BirthCheck, checkBirth } from '@/server/patient/birth';

export const POST = handler({
  who: 'patient',
  input: BirthCheck,
  run: async ({ actor, input }) => {
    const proof = await checkBirth(actor, input.birthDate);
    return { cookies: (response) => setCookie(response, 'birth', proof) };
  },
});
