import { UNSCREENED, standsFor } from '@/core/screen';
import { circumstancesFor } from '@/server/visit/circumstances';
import { requireFile, requireMember } from '@/server/require';
import type { Metadata } from 'next';
import { QuietLink } from '@/ui/primitives/quiet-link';
import { z } from 'zod';
import { roleSuffices } from '@/server/access';
import { ownExercises } from '@/server/desk/exercises';
import { ExerciseFiles } from '@/ui/exercises/exercise-files';
import { ExerciseBrowser, type ForPatient } from '@/ui/exercises/exercise-browser';
import { FigureThumb } from '@/ui/figure/thumb';
import { RetireButton } from '@/ui/exercises/retire-button';
import { buttonClass } from '@/ui/primitives/button';
import { legible } from '@/app/legible';

export const metadata: Metadata = { title: 'Exercises' };

export default legible(ExercisesPage);

/** Whose precautions and home close exercises in the list; left out, nobody's. */
const Query = z.object({ patient: z.string().max(80).optional().catch(undefined) });

async function forPatient(id: string | undefined): Promise<ForPatient | null> {
  if (id === undefined) return null;
  const { patient } = await requireFile(id);
  return { name: patient.name, ...(await circumstancesFor(patient)) };
}

async function ExercisesPage({ searchParams }: PageProps<'/exercises'>) {
  const member = await requireMember();
  const patient = await forPatient(Query.parse(await searchParams).patient);
  const own = await ownExercises(member.clinicId);
  const practises = roleSuffices(member.role, 'practitioner');
  return (
    <>
      <div className="flex flex-wrap items-center gap-3 border-b border-hair pb-3">
        <h1 className="mr-auto text-2xl">Exercises</h1>
        <QuietLink href="/exercises/programmes" className={buttonClass('plain')}>
          Ready programmes
        </QuietLink>
        <QuietLink href="/exercises/pictures" className={buttonClass('plain')}>
          Drawings
        </QuietLink>
        {practises && (
          <QuietLink href="/exercises/new" className={buttonClass('main')}>
            Add one of your own
          </QuietLink>
        )}
      </div>
      {patient && (
        <p className="border-l-2 border-lit pl-3">
          What speaks against an exercise for <bdi className="font-semibold">{patient.name}</bdi>,
          by screening, positions and home, stands beside it.{' '}
          {!standsFor(patient.screened) && (
            <strong className="font-semibold">
              {UNSCREENED[patient.screened]} Until then nothing here is said to be safe.{' '}
            </strong>
          )}
          <QuietLink href="/exercises" className="text-action underline">
            For nobody in particular
          </QuietLink>
        </p>
      )}
      <ExerciseBrowser own={own} patient={patient} />
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
                <span className="figures text-small text-soft">{exercise.usualDose}</span>
              </p>
              {practises && (
                <>
                  <QuietLink
                    href={`/exercises/${exercise.id}`}
                    className="text-action underline"
                    aria-label={`Edit ${exercise.name}`}
                  >
                    Edit
                  </QuietLink>
                  <RetireButton id={exercise.id} name={exercise.name} />
                </>
              )}
            </li>
          ))}
        </ul>
      </section>
      {practises && <ExerciseFiles />}
    </>
  );
}
