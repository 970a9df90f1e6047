import { scaleLinear } from 'd3';
import type { Told } from '@/core/evidence';
import { Untold } from './table';

/** Counts as bars with their numbers; what may not be told has a dash instead. */
export function LeavingBars({
  label,
  bars,
}: {
  label: string;
  bars: readonly { readonly name: string; readonly count: Told }[];
}) {
  const most = Math.max(1, ...bars.map(({ count }) => count ?? 0));
  const width = scaleLinear([0, most], [0, 180]);
  return (
    <table aria-label={label}>
      <tbody>
        {bars.map(({ name, count }) => (
          <tr key={name}>
            <th scope="row" className="py-0.5 pr-4 text-left font-normal whitespace-nowrap">
              {name}
            </th>
            <td className="figures py-0.5 pr-3 text-right">{count ?? <Untold />}</td>
            <td>
              {count !== null && count > 0 && (
                <svg aria-hidden width={184} height={14} viewBox="0 0 184 14">
                  <rect y={1} width={width(count)} height={12} fill="var(--plum)" rx={2} />
                </svg>
              )}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
