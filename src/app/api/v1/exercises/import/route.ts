import { ExerciseImport } from '@/core/records';
import { importExercises } from '@/server/desk/exercises';
import { handler } from '@/server/handler';

export const POST = handler({
  who: 'practitioner',
  input: ExerciseImport,
  limit: 1024 * 1024,
  run: async ({ actor, input }) => ({ value: await importExercises(actor, input) }),
});
