import { requireMember } from '@/server/require';
import type { Metadata } from 'next';
import Link from 'next/link';
import { EXERCISES } from '@/catalogue';
import { roleSuffices } from '@/server/access';
import { ownExercises } from '@/server/desk/exercises';
import { ExerciseFiles } from '@/ui/exercises/exercise-files';
import { ExerciseList } from '@/ui/exercises/exercise-list';
import { FigureThumb } from '@/ui/figure/thumb';
import { RetireButton } from '@/ui/exercises/retire-button';
import { buttonClass } from '@/ui/primitives/button';
import { legible } from '@/app/legible';

export const metadata: Metadata = { title: 'Exercises' };

export default legible(ExercisesPage);

async function ExercisesPage() {
  const member = await requireMember();
  const own = await ownExercises(member.clinicId);
  const practises = roleSuffices(member.role, 'practitioner');
  return (
    <>
      <div className="flex flex-wrap items-center gap-3 border-b border-hair pb-3">
        <h1 className="mr-auto text-2xl">Exercises</h1>
        <Link href="/exercises/pictures" className={buttonClass('plain')}>
          Drawings
        </Link>
        {practises && (
          <Link href="/exercises/new" className={buttonClass('main')}>
            Add one of your own
          </Link>
        )}
      </div>
      <section className="pt-4">
        <h2 className="text-lg">Your clinic’s own ({own.length})</h2>
        {own.length === 0 && (
          <p className="text-soft">
            None yet. Programmes already sent keep the wording they were sent with, whatever changes
            here.
          </p>
        )}
        <ul className="divide-y divide-hair">
          {own.map((exercise) => (
            <li key={exercise.id} className="flex flex-wrap items-center gap-3 py-1.5">
              <FigureThumb exerciseId={exercise.id} drawing={exercise.drawing} />
              <p className="mr-auto min-w-0">
                <span className="font-medium" dir="auto">
                  {exercise.name}
                </span>
                <span className="text-soft">
                  , {exercise.family}, step {exercise.rung}
                </span>{' '}
                <span className="figures text-[0.93em] text-soft">{exercise.usualDose}</span>
              </p>
              {practises && (
                <>
                  <Link
                    href={`/exercises/${exercise.id}`}
                    className="text-action underline"
                    aria-label={`Edit ${exercise.name}`}
                  >
                    Edit
                  </Link>
                  <RetireButton id={exercise.id} name={exercise.name} />
                </>
              )}
            </li>
          ))}
        </ul>
      </section>
      {practises && <ExerciseFiles />}
      <section className="pt-6">
        <h2 className="text-lg">Shipped ({EXERCISES.length})</h2>
        <ExerciseList exercises={EXERCISES} />
      </section>
    </>
  );
}
