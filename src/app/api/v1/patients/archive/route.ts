import { ArchiveDraft } from '@/core/records';
import { archivePatient } from '@/server/details';
import { handler } from '@/server/handler';

export const POST = handler({
  who: 'practitioner',
  input: ArchiveDraft,
  run: async ({ actor, input }) => {
    await archivePatient(actor, input);
    return {};
  },
});
