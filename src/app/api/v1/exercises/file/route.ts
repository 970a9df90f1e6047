import { ExerciseFile } from '@/core/records';
import { exportExercises } from '@/server/desk/exercises';
import { fileAsked } from '@/server/file-asked';

const TYPES = { csv: 'text/csv; charset=utf-8', json: 'application/json' } as const;

/** The clinic's exercises as a file, in a form that can be taken in again. */
export const GET = fileAsked({
  query: ExerciseFile,
  otherwise: 'Ask for csv or json, own or all.',
  what: 'exercises',
  run: async (member, { format, of }) => ({
    text: await exportExercises(member.clinicId, format, of),
    type: TYPES[format],
    name: `exercises-${of}.${format}`,
  }),
});
