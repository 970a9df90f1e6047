import { QuietLink } from '@/ui/primitives/quiet-link';
import type { ReactNode } from 'react';
import type { Figure } from '@/core/figure';
import { describeFigure } from '@/catalogue';
import type { AboutExercise } from '@/catalogue/about-exercise';
import { rungOf } from '@/catalogue/exercises/rungs';
import type { Exercise } from '@/core/exercise';
import { FigureLoop } from '../figure/figure-loop';
import { FigureSteps } from '../figure/figure-steps';
import { buttonClass } from '../primitives/button';

/** A part of the sheet, left out where it has nothing to say. */
function Part({ title, children }: { title: string; children: ReactNode }) {
  return (
    <section className="break-inside-avoid border-t border-hair py-3">
      <h2 className="pb-1 text-lg">{title}</h2>
      {children}
    </section>
  );
}

function Step({ way, exercise }: { way: string; exercise: Exercise | null }) {
  if (!exercise) return null;
  return (
    <p>
      {way}:{' '}
      <QuietLink href={`/exercises/about/${exercise.id}`} className="text-action underline">
        <span dir="auto">{exercise.name}</span>
      </QuietLink>
    </p>
  );
}

/** One exercise as a colleague would want it explained: on the screen and printed. */
export function AboutExerciseSheet({
  about,
  patients,
  figure,
  mayPrescribe,
  children,
}: {
  about: AboutExercise;
  /** Of the clinic, whose newest programme holds it. */
  patients: number;
  figure: Figure | null;
  mayPrescribe: boolean;
  /** How the clinic's patients got on with it. */
  children: ReactNode;
}) {
  const { exercise, doses, flaggedFor, disagreements, certainty, easier, harder } = about;
  const step = rungOf(exercise);
  const { name, family, rung, position, purpose, region, muscles, ways, sides } = exercise;
  return (
    <article className="max-w-[64rem]">
      <header className="flex flex-wrap items-baseline gap-3 pb-2">
        <h1 className="mr-auto text-2xl" dir="auto">
          {name}
        </h1>
        {mayPrescribe && (
          <QuietLink
            href={`/exercises/prescribe?exercise=${exercise.id}`}
            className={`no-print ${buttonClass('main')}`}
          >
            Prescribe to …
          </QuietLink>
        )}
        <QuietLink href="/exercises" className="no-print text-action underline">
          All exercises
        </QuietLink>
      </header>
      <p className="pb-3 text-soft">
        {family}, step {rung}; {position}. To {PURPOSE_VERB[purpose] ?? purpose}, {region}:{' '}
        {muscles.join(', ')}. {ways}
      </p>
      {figure && <FigureSteps figure={figure} size="h-40" />}
      {figure && <FigureLoop figure={figure} label={describeFigure(figure)} />}
      {sides && <p className="pt-1 text-small text-soft">Drawn for the right: {sides.right}.</p>}
      <div className="gap-x-8 pt-3 lg:columns-2">
        <Part title="How it is done">
          <ol className="list-decimal pl-5">
            {exercise.steps.map((step) => (
              <li key={step} dir="auto">
                {step}
              </li>
            ))}
          </ol>
          <p className="pt-1">Reminders: {exercise.cues.join(' · ')}.</p>
        </Part>
        <Part title="What goes wrong">
          <dl className="grid gap-1">
            {Object.entries(exercise.faults).map(([fault, fix]) => (
              <div key={fault}>
                <dt className="inline font-medium">{fault}: </dt>
                <dd className="inline">{fix}.</dd>
              </div>
            ))}
          </dl>
        </Part>
        <Part title="What is felt">
          <p>{exercise.feel}</p>
          <p>Normal: {exercise.normal}</p>
          <p className="text-stop">Stop for: {exercise.stop}</p>
          <p>Watch: {exercise.watch}</p>
        </Part>
        <Part title="Doses, with their true time">
          <table className="w-full">
            <thead className="sr-only">
              <tr>
                <th scope="col">School</th>
                <th scope="col">Dose</th>
                <th scope="col">One session</th>
              </tr>
            </thead>
            <tbody>
              {doses.map(({ school, dose, words, time }) => (
                <tr key={`${school} ${dose}`} className="border-t border-hair align-top">
                  <th scope="row" className="min-w-24 py-1 pr-3 text-left font-normal">
                    {school}
                  </th>
                  <td className="py-1 pr-3">
                    <span className="figures">{dose}</span>
                    <span className="block text-small text-soft">{words}</span>
                  </td>
                  <td className="figures py-1 text-right whitespace-nowrap">{time}</td>
                </tr>
              ))}
            </tbody>
          </table>
          <p className="pt-1 text-small text-soft">Doses are common practice, no source.</p>
        </Part>
        <Part title="What it needs">
          {exercise.props.length === 0 ? (
            <p>Nothing.</p>
          ) : (
            <ul>
              {exercise.props.map(({ prop, orElse }) => (
                <li key={prop}>
                  {prop}
                  {orElse.map((other) => `; else ${other.prop} (${other.consequence})`).join('')}
                </li>
              ))}
            </ul>
          )}
        </Part>
        <Part title="Who must not, without a reason">
          {flaggedFor.length === 0 ? (
            <p>No precaution speaks against it by itself; a dose may.</p>
          ) : (
            <ul>
              {flaggedFor.map(({ who, why }) => (
                <li key={who}>
                  {who} <span className="text-soft">({why.join(', ')})</span>
                </li>
              ))}
            </ul>
          )}
        </Part>
        <Part title="How sure the trade is">
          {certainty.kind === 'studied' && (
            <p>
              Studied. {certainty.says} <span className="text-soft">{certainty.source}.</span>
            </p>
          )}
          {certainty.kind === 'common practice' && <p>Common practice, no source.</p>}
          {certainty.kind === 'disputed' && <p>Disputed: {certainty.about.join('; ')}.</p>}
          {disagreements.map(({ about: what, positions }) => (
            <details key={what} className="pt-1" open={certainty.kind === 'disputed'}>
              <summary className="font-medium">{what}</summary>
              <ul className="list-disc pl-5">
                {positions.map(({ says, consequence }) => (
                  <li key={says}>
                    {says} <span className="text-soft">{consequence}</span>
                  </li>
                ))}
              </ul>
            </details>
          ))}
        </Part>
        <Part title="Where it stands">
          {step && (
            <p>
              {step.harder && `Harder than the one below by ${step.harder}. `}
              Opens: {step.opens} Closes: {step.closes}
            </p>
          )}
          <Step way="Easier" exercise={easier} />
          <Step way="Harder" exercise={harder} />
          {!easier && !harder && <p>Beside the stairs: another exercise, not a harder one.</p>}
          {about.programmes.length > 0 && (
            <p>
              In the ready programmes{' '}
              <QuietLink href="/exercises/programmes" className="text-action underline">
                {about.programmes.join(', ')}
              </QuietLink>
              .
            </p>
          )}
          <p>
            {patients === 0
              ? 'In no programme of your clinic now.'
              : `In the newest programme of ${patients === 1 ? '1 patient' : `${patients} patients`} of your clinic.`}
          </p>
        </Part>
        <Part title="How your patients got on with it">{children}</Part>
      </div>
    </article>
  );
}

const PURPOSE_VERB: Readonly<Record<string, string>> = { endure: 'make endure' };
