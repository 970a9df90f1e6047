import { NO_SETTINGS, SCHOOLS, type SchoolChoice } from '@/core/school';
import { QuietLink } from '@/ui/primitives/quiet-link';
import { SHIPPED } from '@/catalogue';
import type { Exercise, SchoolId } from '@/core/exercise';
import { type ReadyLine, type ReadyProgramme, type ReadyTotals, timesInWords } from '@/core/ready';
import type { TemplateDraft } from '@/core/records';
import { type Frozen, formatRange, formatSeconds } from '@/core/units';
import { FigureThumb } from '../figure/thumb';
import { ProgrammeActions } from './programme-actions';

/** A programme of the clinic's own, with its true times. */
export type Own = {
  readonly template: Frozen<TemplateDraft>;
  readonly totals: ReadyTotals | null;
};
/** A ready programme, with its true times. */
export type Shown = { readonly programme: ReadyProgramme; readonly totals: ReadyTotals | null };
type ById = (id: string) => Exercise | null;

/** A ready programme: what it is, for whom, its lines and what can be done with it. */
export function Programme({
  programme,
  totals,
  offered,
  practises,
}: Shown & { offered: boolean; practises: boolean }) {
  const { id, name, about, forWhom, notFor, cautions, disagreement, rounds, lines } = programme;
  return (
    <li id={id} className="break-inside-avoid scroll-mt-4 border-t border-hair py-4">
      <h3 className="text-lg font-semibold">{name}</h3>
      <p>{about}</p>
      <Times totals={totals} rounds={rounds} />
      {practises && (
        <ProgrammeActions
          of="ready"
          id={id}
          name={name}
          lines={triedLines(lines, SHIPPED.byId)}
          rounds={rounds}
          offered={offered}
        />
      )}
      <ol className="py-2">
        {lines.map((line) => (
          <Line key={line.exerciseId} {...line} exercise={SHIPPED.byId(line.exerciseId)} />
        ))}
      </ol>
      <p>
        <span className="font-medium">For:</span> {forWhom}
      </p>
      <p>
        <span className="font-medium">Not for:</span> {notFor}
      </p>
      <ul className="list-disc pl-5 text-soft">
        {cautions.map((caution) => (
          <li key={caution}>{caution}</li>
        ))}
        {disagreement && <li>The trade disagrees: {disagreement}.</li>}
      </ul>
    </li>
  );
}

const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);

/** What a programme takes, by the segments that the player would play. */
function Times({ totals, rounds }: { totals: ReadyTotals | null; rounds: number }) {
  if (!totals) return null;
  return (
    <p className="pt-1 text-soft">
      {capital(timesInWords(totals))}, the longest {formatRange(totals.session)}; the day{' '}
      {formatRange(totals.day)}, the week {formatRange(totals.week)}; held{' '}
      {formatSeconds(totals.heldADay)} a day
      {rounds > 1 && `; gone through ${rounds} times`}.
    </p>
  );
}

/** A programme of the clinic's own: what it is where that was kept, and its lines. */
export function OwnProgramme({
  template: { id, name, rounds, lines, notes },
  totals,
  byId,
  practises,
}: Own & { byId: ById; practises: boolean }) {
  return (
    <li id={id} className="break-inside-avoid scroll-mt-4 border-t border-hair py-4">
      <h3 className="text-lg font-semibold" dir="auto">
        {name}
      </h3>
      {notes && notes.about !== '' && <p dir="auto">{notes.about}</p>}
      <Times totals={totals} rounds={rounds} />
      {practises && (
        <ProgrammeActions
          of="template"
          id={id}
          name={name}
          lines={triedLines(lines, byId)}
          rounds={rounds}
          offered
        />
      )}
      <ol className="py-2">
        {lines.map(({ exerciseId, dose, school }, at) => (
          <Line
            key={`${at} ${exerciseId}`}
            exerciseId={exerciseId}
            dose={dose}
            school={school?.id ?? null}
            exercise={byId(exerciseId)}
          />
        ))}
      </ol>
      {notes && notes.forWhom !== '' && (
        <p dir="auto">
          <span className="font-medium">For:</span> {notes.forWhom}
        </p>
      )}
      {notes && notes.notFor !== '' && (
        <p dir="auto">
          <span className="font-medium">Not for:</span> {notes.notFor}
        </p>
      )}
      {notes && notes.cautions.length > 0 && (
        <ul className="list-disc pl-5 text-soft">
          {notes.cautions.map((caution) => (
            <li key={caution} dir="auto">
              {caution}
            </li>
          ))}
        </ul>
      )}
    </li>
  );
}

/** Lines as a rehearsal takes them; an exercise that is not offered any more is left out. */
function triedLines(
  lines: readonly {
    readonly exerciseId: string;
    readonly dose: string;
    readonly school?: SchoolId | SchoolChoice | null | undefined;
  }[],
  byId: ById,
) {
  return lines.flatMap(({ exerciseId, dose, school }) => {
    const exercise = byId(exerciseId);
    const choice = typeof school === 'string' ? { id: school, settings: NO_SETTINGS } : school;
    return exercise ? [{ exercise, dose, school: choice ?? null }] : [];
  });
}

function Line({ exerciseId, dose, school, exercise }: ReadyLine & { exercise: Exercise | null }) {
  return (
    <li className="flex items-center gap-3 py-0.5">
      <FigureThumb exerciseId={exerciseId} drawing={exercise?.drawing} />
      <p className="min-w-0">
        {exercise ? (
          <QuietLink href={`/exercises/about/${exerciseId}`} className="text-action underline">
            <span dir="auto">{exercise.name}</span>
          </QuietLink>
        ) : (
          <span className="text-stop">An exercise that is not offered any more</span>
        )}
        <span className="block text-small">
          <span className="figures">{dose}</span>
          {school && <span className="text-soft">, grows by: {SCHOOLS[school].name}</span>}
        </span>
      </p>
    </li>
  );
}
