import { requireMember } from '@/server/require';
import type { Metadata } from 'next';
import { redirect } from 'next/navigation';
import { roleSuffices } from '@/server/access';
import { ExerciseForm } from '@/ui/exercises/exercise-form';

export const metadata: Metadata = { title: 'New exercise' };

export default async function NewExercisePage() {
  const member = await requireMember();
  if (!roleSuffices(member.role, 'practitioner')) redirect('/exercises');
  return (
    <>
      <h1 className="border-b border-hair pb-3 text-2xl">An exercise of your own</h1>
      <ExerciseForm id={null} row={null} />
    </>
  );
}
