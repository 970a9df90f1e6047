import { OwnExerciseSave } from '@/core/records';
import { saveExercise } from '@/server/desk/exercises';
import { handler } from '@/server/handler';

export const POST = handler({
  who: 'practitioner',
  input: OwnExerciseSave,
  run: async ({ actor, input }) => ({ value: await saveExercise(actor, input) }),
});
