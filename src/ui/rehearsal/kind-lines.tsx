import { line as pathOf, scaleLinear } from 'd3';
import type { ReactNode } from 'react';
import type { RehearsedKind } from '@/core/rehearsal';
import { KIND_LINES } from './kinds';

const WIDTH = 560;
const HEIGHT = 150;

/** One made-up patient's values by week. */
export type KindValues = {
  readonly kind: RehearsedKind;
  readonly values: readonly { readonly week: number; readonly value: number }[];
};
type Scale = (value: number) => number;

/** Lines of every made-up patient by week, over one scale from nought. */
export function KindLines({
  label,
  weeks,
  ticks,
  kinds,
  marks,
}: {
  label: string;
  /** The first and the last week. */
  weeks: readonly [number, number];
  /** Weeks with their words under the axis. */
  ticks: readonly (readonly [week: number, say: string])[];
  kinds: readonly KindValues[];
  /** What stands on a line beside it. */
  marks?: (one: KindValues, x: Scale, y: Scale) => ReactNode;
}) {
  const most = Math.max(1, ...kinds.flatMap(({ values }) => values.map(({ value }) => value)));
  const x = scaleLinear(weeks, [34, WIDTH - 8]);
  const y = scaleLinear([0, most], [HEIGHT - 20, 8]).nice(4);
  return (
    <svg
      role="img"
      aria-label={label}
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      className="w-full max-w-3xl"
      fontSize={11}
    >
      {y.ticks(4).map((tick) => (
        <g key={tick}>
          <line x1={32} x2={WIDTH} y1={y(tick)} y2={y(tick)} stroke="var(--hair)" />
          <text x={28} y={y(tick) + 4} textAnchor="end" fill="var(--soft)">
            {tick}
          </text>
        </g>
      ))}
      {ticks.map(([week, say]) => (
        <text key={week} x={x(week)} y={HEIGHT - 4} textAnchor="middle" fill="var(--soft)">
          {say}
        </text>
      ))}
      {kinds.map((one) => (
        <g key={one.kind}>
          <path
            d={
              pathOf<KindValues['values'][number]>(
                ({ week }) => x(week),
                ({ value }) => y(value),
              )(one.values) ?? ''
            }
            fill="none"
            stroke={KIND_LINES[one.kind].colour}
            strokeWidth={1.8}
            strokeDasharray={KIND_LINES[one.kind].dash}
          />
          {marks?.(one, x, y)}
        </g>
      ))}
    </svg>
  );
}
