import { requireRole } from '@/server/require';
import type { Metadata } from 'next';
import { keptFigure } from '@/server/desk/own-figures';
import { ownExercises } from '@/server/desk/exercises';
import { keptOwnDraft } from '@/server/own-drafts';
import { ExerciseForm } from '@/ui/exercises/exercise-form';

export const metadata: Metadata = { title: 'New exercise' };

export default async function NewExercisePage() {
  const member = await requireRole('practitioner', '/exercises');
  const [kept, own] = await Promise.all([
    keptOwnDraft(member, 'exercise'),
    ownExercises(member.clinicId),
  ]);
  // One that was being edited comes back on its own page.
  const begun = own.some(({ id }) => id === kept?.id) ? null : kept;
  return (
    <>
      <h1 className="border-b border-hair pb-3 text-2xl">An exercise of your own</h1>
      <ExerciseForm id={null} row={null} kept={begun} figure={keptFigure(begun)} />
    </>
  );
}
