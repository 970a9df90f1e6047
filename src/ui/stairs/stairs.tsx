import { rungOf } from '@/catalogue/exercises/rungs';
import { wordsOf } from '@/catalogue/wording';
import type { Exercise } from '@/core/exercise';
import { FigureThumb } from '../figure/thumb';

type Step = {
  readonly exercise: Exercise;
  readonly dose: string | null;
  readonly closed: readonly string[];
  readonly needs: readonly string[];
};

/** Pixels each step rises. */
const RISE = 14;

/** One family as stairs: the easiest step left and low, the hardest right and high. */
export function Stairs({
  stair: { family, ladders, beside, findings },
}: {
  stair: {
    readonly family: string;
    readonly ladders: readonly { readonly name: string; readonly steps: readonly Step[] }[];
    readonly beside: readonly Step[];
    readonly findings: readonly string[];
  };
}) {
  return (
    <section className="border-t border-ink pt-2 pb-6" aria-label={family}>
      <h2 className="text-lg">{family}</h2>
      {findings.length > 0 && <p className="text-soft">Asked for by: {findings.join(' ')}</p>}
      {ladders.map(({ name, steps }) => (
        <div key={name} className="pt-2">
          <p className="text-small text-soft first-letter:uppercase">{name}</p>
          <ol className="flex flex-col gap-y-2 pt-1 md:flex-row md:items-end md:gap-y-0">
            {steps.map((step, index) => (
              <li key={step.exercise.id} className="min-w-0 flex-1 md:max-w-52">
                <StepBlock step={step} place={index} />
              </li>
            ))}
          </ol>
        </div>
      ))}
      {beside.length > 0 && (
        <div className="pt-3">
          <p className="text-small text-soft">
            {ladders.length > 0 ? 'Beside the stairs: no step of another' : 'No step of another'}
          </p>
          <ul className="flex flex-col gap-y-2 pt-1 md:flex-row md:items-end md:gap-x-2 md:gap-y-0">
            {beside.map((step) => (
              <li key={step.exercise.id} className="min-w-0 flex-1 md:max-w-52">
                <StepBlock step={step} place={0} beside />
              </li>
            ))}
          </ul>
        </div>
      )}
    </section>
  );
}

function StepBlock({ step, place, beside }: { step: Step; place: number; beside?: boolean }) {
  const { exercise, dose, closed, needs } = step;
  const here = dose !== null;
  const shut = closed.length > 0;
  const rung = rungOf(exercise);
  const words = wordsOf(exercise);
  return (
    <details className="group">
      <summary className="block cursor-pointer list-none">
        <FigureThumb
          exerciseId={exercise.id}
          drawing={exercise.drawing}
          className="h-16 w-full max-w-28 justify-start px-1"
        />
        <span className="block px-1 pb-1 text-small leading-tight">
          {!beside && (
            <>
              <span className="sr-only">Step </span>
              <span className="figures text-soft">{place + 1}</span>{' '}
            </>
          )}
          <span className={here ? 'font-semibold' : shut ? 'text-soft' : ''} dir="auto">
            {exercise.name}
          </span>
          {here && <span className="sr-only">, where the patient stands</span>}
          {here && <span className="figures block text-small">{dose}</span>}
          {shut && <span className="block text-small text-plum">closed: {closed.join('; ')}</span>}
          {!shut && needs.length > 0 && (
            <span className="block text-small text-soft">{needs.join(', ')}</span>
          )}
        </span>
        <span
          aria-hidden
          className={`block border-t-4 border-l ${here ? 'border-lit bg-lit/25' : shut ? 'stair-shut border-dark-rib' : 'border-dark-rib bg-wash'}`}
          style={{ height: 12 + place * RISE }}
        />
      </summary>
      <div className="border-l-2 border-hair py-1 pl-2 text-small">
        <p>
          {exercise.position}; {exercise.purpose}: {exercise.muscles.join(', ')}.
        </p>
        <p className="figures">{exercise.usualDose}</p>
        {rung && (
          <p>
            {rung.harder && `Harder by ${rung.harder}. `}
            Opens: {rung.opens} Closes: {rung.closes}
          </p>
        )}
        {words && (
          <>
            <p className="text-soft">{words.watch}</p>
            <p className="text-soft">
              Felt: {words.feel} Stop: {words.stop}
            </p>
          </>
        )}
      </div>
    </details>
  );
}
