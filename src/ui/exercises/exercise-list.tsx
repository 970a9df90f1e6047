import Link from 'next/link';
import { type Exercise, FAMILIES } from '@/core/exercise';

/** Exercises family by family, each to be opened. */
export function ExerciseList({ exercises }: { exercises: readonly Exercise[] }) {
  return FAMILIES.map((family) => (
    <section key={family} className="border-t border-hair pt-2 pb-3">
      <h3 className="font-semibold">{family}</h3>
      <ol className="gap-x-8 lg:columns-2">
        {exercises
          .filter((exercise) => exercise.family === family)
          .map((exercise) => (
            <li key={exercise.id} className="break-inside-avoid py-0.5">
              <details>
                <summary>
                  <span className="figures text-soft">{exercise.rung}</span> {exercise.name}{' '}
                  <span className="figures text-[0.87em] text-soft">{exercise.usualDose}</span>
                </summary>
                <About exercise={exercise} />
              </details>
            </li>
          ))}
      </ol>
    </section>
  ));
}

function About({ exercise }: { exercise: Exercise }) {
  const props = exercise.props.map(({ prop, orElse }) => [
    prop,
    ...orElse.map((other) => `else ${other.prop} (${other.consequence})`),
  ]);
  return (
    <div className="border-l-2 border-hair py-1 pl-3 text-[0.93em]">
      <p className="text-soft">
        {exercise.position}; {exercise.purpose}: {exercise.muscles.join(', ')}. {exercise.ways}
        {props.length > 0 && ` Needs: ${props.map((list) => list.join(', ')).join('; ')}.`}
      </p>
      <ol className="list-decimal pl-5">
        {exercise.steps.map((step) => (
          <li key={step}>{step}</li>
        ))}
      </ol>
      <p>Reminders: {exercise.cues.join(' · ')}.</p>
      {Object.entries(exercise.faults).map(([fault, fix]) => (
        <p key={fault}>
          {fault}: {fix}.
        </p>
      ))}
      <p>
        <Link href={`/exercises/pictures#${exercise.id}`} className="text-action underline">
          Drawing<span className="sr-only"> of {exercise.name}</span>
        </Link>
      </p>
      <p className="text-soft">
        Felt: {exercise.feel} Normal: {exercise.normal} Stop: {exercise.stop} Watch:{' '}
        {exercise.watch}
      </p>
    </div>
  );
}
