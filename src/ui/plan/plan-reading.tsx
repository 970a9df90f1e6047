import { catalogueOf } from '@/catalogue';
import type { Exercise } from '@/core/exercise';
import { type DeskLine, readLine } from './draft';

/** The programme to read, for those who may not write it. */
export function PlanReading({
  lines,
  own,
}: {
  lines: readonly DeskLine[];
  own: readonly Exercise[];
}) {
  const catalogue = catalogueOf(own);
  if (lines.length === 0)
    return <p className="py-8 text-soft">No programme yet. A practitioner writes it.</p>;
  return (
    <ol className="divide-y divide-hair">
      {lines.map((line) => {
        const read = readLine(line, catalogue);
        return (
          <li key={line.uid} className="py-3">
            <p className="font-semibold">
              {catalogue.byId(line.exerciseId)?.name ?? line.exerciseId}
            </p>
            <p className="figures">{line.dose}</p>
            {read.ok && <p className="text-soft">{read.words}.</p>}
          </li>
        );
      })}
    </ol>
  );
}
