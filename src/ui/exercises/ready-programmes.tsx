import Link from 'next/link';
import { SHIPPED } from '@/catalogue';
import { SCHOOLS } from '@/core/progression';
import type { Compared, ReadyLine, ReadyProgramme, ReadyTotals } from '@/core/ready';
import { formatRange, formatSeconds } from '@/core/units';
import { FigureThumb } from '../figure/thumb';
import { Button } from '../primitives/button';
import { INPUT_CLASS } from '../primitives/field';

type SideBySide = {
  readonly one: string;
  readonly other: string;
  readonly rows: readonly Compared[];
};
type PageFacts = {
  readonly shown: readonly Shown[];
  /** Null where no two were chosen. */
  readonly compared: SideBySide | null;
  readonly chosen: { readonly one?: string | undefined; readonly other?: string | undefined };
};
type Shown = { readonly programme: ReadyProgramme; readonly totals: ReadyTotals | null };

/** Every ready programme, a column of its lines under what it is and whom it is for. */
export function ReadyProgrammes({ shown, compared, chosen }: PageFacts) {
  return (
    <>
      <header className="flex flex-wrap items-baseline gap-3 border-b border-hair pb-3">
        <h1 className="mr-auto text-2xl">Ready programmes ({shown.length})</h1>
        <Link href="/exercises" className="text-action underline">
          All exercises
        </Link>
      </header>
      <p className="max-w-[70ch] py-3 text-soft">
        Each is one way of working. On a patient’s Plan, type its name in the search and press
        Enter: all its lines are put down, and what this patient’s screening, positions and home
        close is shown with what can take its place. Common practice, no source; you decide.
      </p>
      <Compare shown={shown} compared={compared} chosen={chosen} />
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
          <Programme key={one.programme.id} {...one} />
        ))}
      </ul>
    </>
  );
}

/** Two programmes side by side, chosen by a plain form. */
function Compare({ shown, compared, chosen }: PageFacts) {
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

function Programme({ programme, totals }: Shown) {
  const { id, name, about, forWhom, notFor, cautions, disagreement, rounds, lines } = programme;
  return (
    <li id={id} className="break-inside-avoid scroll-mt-4 border-t border-hair py-4">
      <h2 className="text-lg">{name}</h2>
      <p>{about}</p>
      {totals && (
        <p className="pt-1 text-soft">
          {totals.sessionsADay === 1 ? 'Once a day' : `${totals.sessionsADay} times a day`}, longest
          session <span className="figures">{formatRange(totals.session)}</span>; the day{' '}
          <span className="figures">{formatRange(totals.day)}</span>, the week{' '}
          <span className="figures">{formatRange(totals.week)}</span>; held{' '}
          <span className="figures">{formatSeconds(totals.heldADay)}</span> a day
          {rounds > 1 && `; gone through ${rounds} times`}.
        </p>
      )}
      <ol className="py-2">
        {lines.map((line) => (
          <Line key={line.exerciseId} {...line} />
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

function Line({ exerciseId, dose, school }: ReadyLine) {
  const exercise = SHIPPED.byId(exerciseId);
  return (
    <li className="flex items-center gap-3 py-0.5">
      <FigureThumb exerciseId={exerciseId} />
      <p className="min-w-0">
        <Link
          href={`/exercises/about/${exerciseId}`}
          prefetch={false}
          className="text-action underline"
        >
          {exercise?.name ?? exerciseId}
        </Link>
        <span className="block text-[0.93em]">
          <span className="figures">{dose}</span>
          {school && <span className="text-soft">, grows by: {SCHOOLS[school].name}</span>}
        </span>
      </p>
    </li>
  );
}
