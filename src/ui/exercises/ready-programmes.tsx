import { QuietLink } from '@/ui/primitives/quiet-link';
import type { Exercise } from '@/core/exercise';
import type { Compared } from '@/core/ready';
import { Button } from '../primitives/button';
import { INPUT_CLASS } from '../primitives/field';
import { type Own, OwnProgramme, Programme, type Shown } from './programme-entry';
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

/** Every ready programme, a column of its lines under what it is and whom it is for. */
export function ReadyProgrammes(facts: PageFacts) {
  const { shown, retired, own, byId, practises } = facts;
  return (
    <>
      <header className="flex flex-wrap items-baseline gap-3 border-b border-hair pb-3">
        <h1 className="mr-auto text-2xl">Programmes</h1>
        <QuietLink href="/exercises" className="text-action underline">
          All exercises
        </QuietLink>
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
      <span className="text-small text-soft">{label}</span>
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
      <form action="/exercises/programmes" className="flex flex-wrap items-end gap-3">
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
