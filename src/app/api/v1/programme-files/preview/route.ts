import { ProgrammeFileAsked } from '@/core/records';
import { previewProgramme } from '@/server/desk/programme-files';
import { handler } from '@/server/handler';

/** What a file of a programme would bring; nothing is written. */
export const POST = handler({
  who: 'practitioner',
  input: ProgrammeFileAsked,
  limit: 1024 * 1024,
  run: async ({ actor, input }) => ({ value: await previewProgramme(actor.clinicId, input.text) }),
});
