import { RetireDraft } from '@/core/records';
import { retireExercise } from '@/server/desk/exercises';
import { handler } from '@/server/handler';

export const POST = handler({
  who: 'practitioner',
  input: RetireDraft,
  run: async ({ actor, input }) => ({ value: await retireExercise(actor, input) }),
});
