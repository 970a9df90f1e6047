import { scaleLinear } from 'd3';

const WIDTH = 132;
const HEIGHT = 18;

/**
 * A value with its interval on a scale that all marks of a column share. The numbers stand beside it as
 * text, so that it says nothing to a reader of its own.
 */
export function IntervalMark({
  value,
  low,
  high,
  most,
}: {
  value: number;
  low: number;
  high: number;
  /** The end of the scale that begins at nought. */
  most: number;
}) {
  const x = scaleLinear([0, most], [4, WIDTH - 4]).clamp(true);
  const middle = HEIGHT / 2;
  return (
    <svg aria-hidden viewBox={`0 0 ${WIDTH} ${HEIGHT}`} width={WIDTH} height={HEIGHT}>
      <line x1={4} x2={WIDTH - 4} y1={middle} y2={middle} stroke="var(--hair)" />
      <line
        x1={x(low)}
        x2={x(high)}
        y1={middle}
        y2={middle}
        stroke="var(--plum)"
        strokeWidth={5}
        strokeOpacity={0.35}
      />
      <circle cx={x(value)} cy={middle} r={4} fill="var(--plum)" />
    </svg>
  );
}
