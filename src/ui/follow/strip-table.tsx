'use client';

import { shortDay } from '@/core/units';
import { type Strip, stripTable } from '@/core/follow';
import { Fold } from '../primitives/fold';

/** Drawn only once it is opened: a year has thousands of cells. */
export function StripTable({
  shown,
  rows,
}: {
  shown: readonly Strip[];
  rows: () => ReturnType<typeof stripTable>;
}) {
  return (
    <Fold summary="The same as a table" summaryClass="py-1 text-action">
      {() => (
        <div
          className="relative max-h-96 overflow-auto"
          tabIndex={0}
          role="region"
          aria-label="Every day as a table"
        >
          <table className="w-full [overflow-wrap:normal]">
            <thead className="sticky top-0 bg-paper text-left">
              <tr>
                {['Day', ...shown.map(({ name }) => name)].map((name) => (
                  <th key={name} scope="col" className="py-1 pr-4 font-semibold">
                    {name}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody className="figures">
              {rows().map(({ date, cells }) => (
                <tr key={date} className="border-t border-hair">
                  <th scope="row" className="py-1 pr-4 text-left font-normal whitespace-nowrap">
                    {shortDay(date)}
                  </th>
                  {cells.map((cell, index) => (
                    <td
                      key={shown[index]?.id}
                      className={
                        shown[index]?.kind === 'notes'
                          ? 'min-w-48 pr-4 [overflow-wrap:anywhere]'
                          : 'min-w-16 pr-4'
                      }
                      dir="auto"
                    >
                      {cell}
                    </td>
                  ))}
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      )}
    </Fold>
  );
}
