import Link from 'next/link';
import { SHIPPED } from '@/catalogue';
import type { Exercise, SchoolId } from '@/core/exercise';
import { NO_SETTINGS, SCHOOLS, type SchoolChoice } from '@/core/progression';
import type { Compared, ReadyLine, ReadyProgramme, ReadyTotals } from '@/core/ready';
import type { TemplateDraft } from '@/core/records';
import { type Frozen, formatRange, formatSeconds } from '@/core/units';
import { FigureThumb } from '../figure/thumb';
import { Button } from '../primitives/button';
import { INPUT_CLASS } from '../primitives/field';
import { ProgrammeActions } from './programme-actions';
import { TakeInProgramme } from './take-in-programme';

type SideBySide = {
  readonly one: string;
  readonly other: string;
  readonly rows: readonly Compared[];
};
type PageFacts = {
  readonly shown: readonly Shown[];
  /** Ready programmes that this clinic does not offer. */
  readonly retired: readonly Shown[];
  readonly own: readonly Own[];
  readonly byId: (id: string) => Exercise | null;
  readonly practises: boolean;
  /** Null where no two were chosen. */
  readonly compared: SideBySide | null;
  readonly chosen: { readonly one?: string | undefined; readonly other?: string | undefined };
};
type Own = { readonly template: Frozen<TemplateDraft>; readonly totals: ReadyTotals | null };
type Shown = { readonly programme: ReadyProgramme; readonly totals: ReadyTotals | null };

/** Every ready programme, a column of its lines under what it is and whom it is for. */
export function ReadyProgrammes(facts: PageFacts) {
  const { shown, retired, own, byId, practises } = facts;
  return (
    <>
      <header className="flex flex-wrap items-baseline gap-3 border-b border-hair pb-3">
        <h1 className="mr-auto text-2xl">Programmes</h1>
        <Link href="/exercises" className="text-action underline">
          All exercises
        </Link>
      </header>
      <p className="max-w-[70ch] py-3 text-soft">
        Each is one way of working. On a patient’s Plan, type its name in the search and press
        Enter: all its lines are put down, and what this patient’s screening, positions and home
        close is shown with what can take its place. Common practice, no source; you decide.
      </p>
      <Compare {...facts} />
      {practises && <TakeInProgramme />}
      <section className="pb-4">
        <h2 className="text-xl">Your clinic’s own ({own.length})</h2>
        {own.length === 0 && (
          <p className="text-soft">
            None yet. Copy a ready one, take one in from a file, or keep a patient’s desk as a
            template.
          </p>
        )}
        <ul className="grid gap-x-10 lg:grid-cols-2">
          {own.map((one) => (
            <OwnProgramme key={one.template.id} {...one} byId={byId} practises={practises} />
          ))}
        </ul>
      </section>
      <h2 className="text-xl">Ready programmes ({shown.length})</h2>
      <nav
        aria-label="Ready programmes"
        className="columns-2 gap-x-8 pb-4 md:columns-3 xl:columns-4"
      >
        <ul>
          {shown.map(({ programme: { id, name } }) => (
            <li key={id}>
              <a href={`#${id}`} className="inline-block min-h-6 py-0.5 text-action underline">
                {name}
              </a>
            </li>
          ))}
        </ul>
      </nav>
      <ul className="grid gap-x-10 lg:grid-cols-2">
        {shown.map((one) => (
          <Programme key={one.programme.id} {...one} offered practises={practises} />
        ))}
      </ul>
      {retired.length > 0 && (
        <section className="pt-4">
          <h2 className="text-xl">Not offered in your clinic ({retired.length})</h2>
          <ul className="grid gap-x-10 lg:grid-cols-2">
            {retired.map((one) => (
              <Programme key={one.programme.id} {...one} offered={false} practises={practises} />
            ))}
          </ul>
        </section>
      )}
    </>
  );
}

/** Two programmes side by side, chosen by a plain form. */
function Compare({ shown, compared, chosen }: Pick<PageFacts, 'shown' | 'compared' | 'chosen'>) {
  const choice = (name: 'one' | 'other', label: string) => (
    <label className="grid gap-1">
      <span className="text-[0.93em] text-soft">{label}</span>
      <select name={name} defaultValue={chosen[name] ?? ''} className={INPUT_CLASS} required>
        <option value="">Choose</option>
        {shown.map(({ programme: { id, name: called } }) => (
          <option key={id} value={id}>
            {called}
          </option>
        ))}
      </select>
    </label>
  );
  return (
    <section aria-label="Two side by side" className="pb-4">
      <form className="flex flex-wrap items-end gap-3">
        {choice('one', 'Compare')}
        {choice('other', 'With')}
        <Button type="submit">Side by side</Button>
      </form>
      {compared && (
        <table className="mt-3 w-full max-w-[56rem]">
          <thead>
            <tr className="border-b border-ink text-left">
              <td />
              <th scope="col" className="py-1 pr-4">
                {compared.one}
              </th>
              <th scope="col" className="py-1">
                {compared.other}
              </th>
            </tr>
          </thead>
          <tbody>
            {compared.rows.map(({ what, one, other }) => (
              <tr key={what} className="border-b border-hair align-top">
                <th scope="row" className="py-1 pr-4 text-left font-normal text-soft">
                  {what}
                </th>
                <td className={`py-1 pr-4 ${one === other ? 'text-soft' : ''}`}>{one}</td>
                <td className={`py-1 ${one === other ? 'text-soft' : ''}`}>{other}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </section>
  );
}

function Programme({
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

/** What a programme takes, by the segments that the player would play. */
function Times({ totals, rounds }: { totals: ReadyTotals | null; rounds: number }) {
  if (!totals) return null;
  return (
    <p className="pt-1 text-soft">
      {totals.sessionsADay === 1 ? 'Once a day' : `${totals.sessionsADay} times a day`}, longest
      session {formatRange(totals.session)}; the day {formatRange(totals.day)}, the week{' '}
      {formatRange(totals.week)}; held {formatSeconds(totals.heldADay)} a day
      {rounds > 1 && `; gone through ${rounds} times`}.
    </p>
  );
}

/** A programme of the clinic's own: what it is where that was kept, and its lines. */
function OwnProgramme({
  template: { id, name, rounds, lines, notes },
  totals,
  byId,
  practises,
}: Own & { byId: PageFacts['byId']; practises: boolean }) {
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
  byId: PageFacts['byId'],
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
          <Link
            href={`/exercises/about/${exerciseId}`}
            prefetch={false}
            className="text-action underline"
          >
            <span dir="auto">{exercise.name}</span>
          </Link>
        ) : (
          <span className="text-stop">An exercise that is not offered any more</span>
        )}
        <span className="block text-[0.93em]">
          <span className="figures">{dose}</span>
          {school && <span className="text-soft">, grows by: {SCHOOLS[school].name}</span>}
        </span>
      </p>
    </li>
  );
}
