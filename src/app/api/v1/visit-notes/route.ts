import { VisitNoteDraft } from '@/core/records';
import { handler } from '@/server/handler';
import { signNote } from '@/server/visit/note';

export const POST = handler({
  who: 'practitioner',
  input: VisitNoteDraft,
  run: async ({ actor, input }) => ({ value: await signNote(actor, input) }),
});
