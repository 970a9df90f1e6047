import { ProgrammeDraft } from '@/core/records';
import { handler } from '@/server/handler';
import { saveProgramme } from '@/server/save-programme';

export const POST = handler({
  who: 'practitioner',
  input: ProgrammeDraft,
  limit: 512 * 1024,
  run: async ({ actor, input }) => ({ value: await saveProgramme(actor, input) }),
});
