import { requireRole } from '@/server/require';
import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { exerciseRow } from '@/core/exchange';
import { exerciseDraft } from '@/core/records';
import { keptOwnDraft } from '@/server/own-drafts';
import { keptFigure, ownFigureOf } from '@/server/desk/own-figures';
import { ownExercises } from '@/server/desk/exercises';
import { ExerciseForm } from '@/ui/exercises/exercise-form';
import { legible } from '@/app/legible';

export const metadata: Metadata = { title: 'Edit exercise' };

export default legible(EditExercisePage);

async function EditExercisePage({ params }: PageProps<'/exercises/[id]'>) {
  const member = await requireRole('practitioner', '/exercises');
  const { id } = await params;
  const exercise = (await ownExercises(member.clinicId)).find((one) => one.id === id);
  if (!exercise) notFound();
  const [draft, drawn] = await Promise.all([
    keptOwnDraft(member, 'exercise'),
    exercise.drawing === undefined ? null : ownFigureOf(member.clinicId, exercise.drawing),
  ]);
  const kept = draft?.id === id ? draft : null;
  return (
    <>
      <h1 className="border-b border-hair pb-3 text-2xl" dir="auto">
        {exercise.name}
      </h1>
      <ExerciseForm
        id={id}
        row={exerciseRow(exerciseDraft(exercise))}
        kept={kept}
        figure={kept?.figure === undefined ? drawn : keptFigure(kept)}
      />
    </>
  );
}
