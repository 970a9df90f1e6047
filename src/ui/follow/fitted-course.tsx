import { area, extent, line, scaleLinear } from 'd3';
import type { FittedPoint, Followed } from '@/core/follow';
import { type LocalDate, daysBetween } from '@/core/units';

const WIDTH = 320;
const HEIGHT = 84;
const EDGE = { left: 26, right: 6, top: 6, bottom: 6 };

/** What was told, with the fitted course and its 95 % band: a picture of what the words beside it say. */
export function FittedCourse({
  followed: { name, unit, readings },
  fitted,
}: {
  followed: Followed;
  fitted: readonly FittedPoint[];
}) {
  const [first, last] = [fitted[0], fitted.at(-1)];
  if (!first || !last) return null;
  const days = daysBetween(first.date, last.date);
  const shown = readings.filter(({ date }) => date >= first.date);
  const [least = 0, most = 10] = extent([
    ...shown.map(({ value }) => value),
    ...fitted.map(({ low }) => low),
    ...fitted.map(({ high }) => high),
  ]);
  const x = scaleLinear([0, Math.max(1, days)], [EDGE.left, WIDTH - EDGE.right]);
  const y = scaleLinear([Math.min(0, least), most], [HEIGHT - EDGE.bottom, EDGE.top]).nice(3);
  const at = (date: LocalDate) => x(daysBetween(first.date, date));
  const band = area<FittedPoint>(
    ({ date }) => at(date),
    ({ low }) => y(low),
    ({ high }) => y(high),
  )(fitted);
  const middle = line<FittedPoint>(
    ({ date }) => at(date),
    ({ value }) => y(value),
  )(fitted);
  return (
    <svg
      role="img"
      aria-label={`${name}: fitted from ${first.value.toFixed(1)} to ${last.value.toFixed(1)} ${unit}, with its 95 % band, over ${shown.length} days that were told.`}
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      className="w-full max-w-xs"
      fontSize={10}
    >
      {y.ticks(3).map((tick) => (
        <g key={tick}>
          <line x1={EDGE.left} x2={WIDTH} y1={y(tick)} y2={y(tick)} stroke="var(--hair)" />
          <text x={EDGE.left - 4} y={y(tick) + 3} textAnchor="end" fill="var(--soft)">
            {tick}
          </text>
        </g>
      ))}
      <path d={band ?? ''} fill="var(--plum)" fillOpacity={0.18} />
      {shown.map(({ date, value }) => (
        <circle key={date} cx={at(date)} cy={y(value)} r={1.6} fill="var(--soft)" />
      ))}
      <path d={middle ?? ''} fill="none" stroke="var(--plum)" strokeWidth={2} />
    </svg>
  );
}
