type Fared = {
  readonly move: string;
  readonly accepted: number;
  readonly edited: number;
  readonly declined: number;
  readonly lower: number;
  readonly higher: number;
  readonly unclear: number;
};

/** How the clinic's own decisions on proposals went. */
export function FaredTable({ fared }: { fared: readonly Fared[] }) {
  return (
    <section className="grid gap-2 pt-10">
      <h2 className="text-lg">How your decisions on proposals went</h2>
      <p className="text-soft">
        The newest two hundred, beside the worst pain in the fortnight after (non-overlap of all
        pairs, 95 %). That it came after does not make it because of it.
      </p>
      {fared.length === 0 ? (
        <p>No proposal has been decided on yet.</p>
      ) : (
        <div className="overflow-x-auto" tabIndex={0} role="region" aria-label="Decisions by kind">
          <table className="w-full min-w-[40rem]">
            <thead className="text-left text-soft">
              <tr>
                {[
                  'Proposed',
                  'Accepted',
                  'Edited',
                  'Declined',
                  'Pain lower after',
                  'Pain higher after',
                  'Neither, or too few days',
                ].map((name) => (
                  <th key={name} scope="col" className="py-1 pr-4 font-normal">
                    {name}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody className="figures">
              {fared.map((row) => (
                <tr key={row.move} className="border-t border-hair">
                  <th scope="row" className="py-1 pr-4 text-left font-medium">
                    {row.move}
                  </th>
                  {[row.accepted, row.edited, row.declined, row.lower, row.higher, row.unclear].map(
                    (count, index) => (
                      <td key={index} className="pr-4">
                        {count}
                      </td>
                    ),
                  )}
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      )}
    </section>
  );
}
