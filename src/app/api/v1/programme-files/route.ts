import { ProgrammeFileTaken } from '@/core/records';
import { takeInProgramme } from '@/server/desk/programme-files';
import { handler } from '@/server/handler';

export const POST = handler({
  who: 'practitioner',
  input: ProgrammeFileTaken,
  limit: 1024 * 1024,
  run: async ({ actor, input }) => ({ value: await takeInProgramme(actor, input) }),
});
