import { type TableRow, alikeOf, isReady } from './use-import';

/** Rows that need a look are all shown up to a bound; the others are counted. */
const MOST_SHOWN = 200;

/** What was found of the rows: what stands against each, and who it may be already. */
export function ImportRows({
  rows,
  onAnother,
}: {
  rows: readonly TableRow[];
  onAnother: (id: string, another: boolean) => void;
}) {
  const written = rows.filter((row) => row.written).length;
  const ready = rows.filter(isReady).length;
  const wrong = rows.filter(({ read, found }) => !read.ok || (found?.wrong ?? null) !== null);
  const alike = rows.filter(
    (row) => !row.written && row.read.ok && row.found?.wrong === null && alikeOf(row) !== null,
  );
  return (
    <section className="grid gap-3">
      <h2 className="text-lg">What was found</h2>
      <p>
        {ready} ready to be written, {alike.length} that may be there already, {wrong.length} that
        cannot be taken{written > 0 && `, ${written} written`}.
      </p>
      {alike.length > 0 && (
        <>
          <h3 className="font-semibold">May be there already</h3>
          <ul className="divide-y divide-hair border-y border-hair">
            {alike.slice(0, MOST_SHOWN).map((row) => {
              const { id, line, read, another } = row;
              return (
                <li key={id} className="flex flex-wrap items-baseline gap-x-4 py-1.5">
                  <span className="figures text-soft">line {line}</span>
                  <span className="font-medium" dir="auto">
                    {read.ok && read.patient.name}
                  </span>
                  <span dir="auto">{alikeOf(row)}</span>
                  <label className="ml-auto flex items-center gap-2">
                    <input
                      type="checkbox"
                      checked={another}
                      onChange={({ target }) => onAnother(id, target.checked)}
                      className="size-4"
                    />
                    another person<span className="sr-only">, line {line}</span>
                  </label>
                </li>
              );
            })}
          </ul>
          <More count={alike.length} />
        </>
      )}
      {wrong.length > 0 && (
        <>
          <h3 className="font-semibold">Cannot be taken</h3>
          <ul className="divide-y divide-hair border-y border-hair">
            {wrong.slice(0, MOST_SHOWN).map(({ id, line, read, found }) => (
              <li key={id} className="flex flex-wrap gap-x-4 py-1.5">
                <span className="figures text-soft">line {line}</span>
                <span dir="auto">
                  {read.ok ? `${read.patient.name}: ${found?.wrong}` : read.say}
                </span>
              </li>
            ))}
          </ul>
          <More count={wrong.length} />
        </>
      )}
    </section>
  );
}

function More({ count }: { count: number }) {
  return count > MOST_SHOWN ? <p className="text-soft">and {count - MOST_SHOWN} more.</p> : null;
}
