import { curveStepAfter, line as pathOf, scaleLinear } from 'd3';
import type { GroupTable } from '@/core/evidence';
import { percentText } from '@/core/units';

const WIDTH = 760;
const HEIGHT = 210;
const EDGE = { left: 44, right: 220, top: 10, bottom: 26 };
/** Groups are told apart by dash and name, not by colour alone. */
const LINES = [
  { colour: 'var(--plum)', dash: undefined },
  { colour: 'var(--action)', dash: '7 4' },
  { colour: 'var(--ink)', dash: '2 4' },
  { colour: 'var(--soft)', dash: '10 3 2 3' },
] as const;

/** To how many pain had changed by as much as matters, by week: a step where it is told. */
export function ChangedChart({
  groups,
  nameOf,
}: {
  groups: readonly GroupTable[];
  nameOf: (name: string) => string;
}) {
  const shown = groups.filter(({ changed }) => changed.length > 0).slice(0, LINES.length);
  const last = Math.max(12, ...shown.flatMap(({ changed }) => changed.map(({ weeks }) => weeks)));
  const x = scaleLinear([0, last], [EDGE.left, WIDTH - EDGE.right]);
  const y = scaleLinear([0, 1], [HEIGHT - EDGE.bottom, EDGE.top]);
  if (shown.length === 0) return null;
  const ends = spread(
    shown.map(({ changed }) => y(changed.at(-1)?.share ?? 0)),
    14,
  );
  return (
    <svg
      role="img"
      aria-label="Share of episodes in which pain had changed by as much as matters, by week since it was first told. The numbers stand in the table."
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      className="w-full max-w-3xl"
      fontSize={12}
    >
      {[0, 0.25, 0.5, 0.75, 1].map((tick) => (
        <g key={tick}>
          <line
            x1={EDGE.left}
            x2={WIDTH - EDGE.right}
            y1={y(tick)}
            y2={y(tick)}
            stroke="var(--hair)"
          />
          <text x={EDGE.left - 6} y={y(tick) + 4} textAnchor="end" fill="var(--soft)">
            {percentText(tick)}
          </text>
        </g>
      ))}
      {[0, 4, 8, 12, 16, 26]
        .filter((week) => week <= last)
        .map((week) => (
          <text key={week} x={x(week)} y={HEIGHT - 6} textAnchor="middle" fill="var(--soft)">
            {week === 0 ? 'start' : `week ${week}`}
          </text>
        ))}
      {shown.map(({ name, changed }, at) => {
        const { colour, dash } = LINES[at] ?? LINES[0];
        const steps: (readonly [number, number])[] = [
          [0, 0],
          ...changed.map(({ weeks, share }) => [weeks, share] as const),
        ];
        const path = pathOf<readonly [number, number]>(
          ([week]) => x(week),
          ([, share]) => y(share),
        ).curve(curveStepAfter)(steps);
        return (
          <g key={name}>
            {changed.map(({ weeks, low, high }) => (
              <line
                key={weeks}
                x1={x(weeks) + at * 3}
                x2={x(weeks) + at * 3}
                y1={y(low)}
                y2={y(high)}
                stroke={colour}
                strokeOpacity={0.35}
                strokeWidth={3}
              />
            ))}
            <path
              d={path ?? ''}
              fill="none"
              stroke={colour}
              strokeWidth={2.2}
              strokeDasharray={dash}
            />
            <text x={WIDTH - EDGE.right + 8} y={(ends[at] ?? 0) + 4} fill={colour}>
              {nameOf(name)}
            </text>
          </g>
        );
      })}
    </svg>
  );
}

/** Keeps names apart that would stand over each other, in the order of their heights. */
function spread(heights: readonly number[], apart: number): number[] {
  const order = heights.map((_, at) => at).sort((a, b) => (heights[a] ?? 0) - (heights[b] ?? 0));
  const put = [...heights];
  order.forEach((at, index) => {
    const above = order[index - 1];
    if (above !== undefined) put[at] = Math.max(put[at] ?? 0, (put[above] ?? 0) + apart);
  });
  return put;
}
