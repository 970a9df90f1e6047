import { halfWidth } from './paper';
import type { Rib } from './rib';

/**
 * A small upright paper lantern whose ribs are days (newest at the bottom) or today's exercises.
 * A rib's lit length is the share that was done; a rest day is a bare rib, a missed day a dark one,
 * a paused day a dotted one; the wick stands at today.
 *
 * @param height in pixels; the width follows
 */
export function Lantern({
  ribs,
  label,
  height,
}: {
  ribs: readonly Rib[];
  label: string;
  height: number;
}) {
  const pitch = 10;
  const cap = 9;
  const tall = cap * 2 + ribs.length * pitch + 6;
  const wide = Math.max(58, Math.min(124, tall * 0.64));
  return (
    <svg
      role="img"
      aria-label={label}
      viewBox={`0 0 ${wide} ${tall}`}
      height={height}
      width={(height * wide) / tall}
      className="lantern shrink-0"
    >
      <path d={`M${wide / 2 - 7} 4 q7 -6 14 0`} fill="none" stroke="var(--ink)" strokeWidth={1.4} />
      <rect x={wide / 2 - 11} y={4} width={22} height={cap - 5} rx={1.5} fill="var(--ink)" />
      <rect
        x={wide / 2 - 11}
        y={tall - cap + 3}
        width={22}
        height={cap - 4}
        rx={1.5}
        fill="var(--ink)"
      />
      <path
        d={outline(ribs.length, pitch, cap + 3, wide)}
        fill="none"
        stroke="var(--dark-rib)"
        strokeWidth={0.7}
      />
      {ribs.map((rib, index) => (
        <RibLine
          // A lantern's ribs are places, not things: their order never changes.
          key={index}
          rib={rib}
          y={cap + 3 + (index + 0.5) * pitch}
          middle={wide / 2}
          half={halfWidth(index, ribs.length, wide)}
        />
      ))}
    </svg>
  );
}

/** The two edges of the paper, through the ends of the ribs. */
function outline(count: number, pitch: number, top: number, wide: number): string {
  const edge = (sign: 1 | -1) =>
    Array.from({ length: count }, (_, index) => {
      const x = wide / 2 + sign * halfWidth(index, count, wide);
      return `${index === 0 ? 'M' : 'L'}${x.toFixed(1)} ${top + (index + 0.5) * pitch}`;
    }).join('');
  return edge(-1) + edge(1);
}

function RibLine({ rib, y, middle, half }: { rib: Rib; y: number; middle: number; half: number }) {
  const left = middle - half;
  const width = half * 2;
  if (rib.kind === 'none') return null;
  if (rib.kind === 'rest') {
    return <rect x={left} y={y - 0.5} width={width} height={1} fill="var(--dark-rib)" />;
  }
  if (rib.kind === 'paused') {
    return (
      <line
        x1={left}
        x2={left + width}
        y1={y}
        y2={y}
        stroke="var(--dark-rib)"
        strokeWidth={1.5}
        strokeDasharray="1.5 3"
      />
    );
  }
  const lit = Math.max(0, Math.min(1, rib.share)) * width;
  return (
    <g>
      <rect
        x={left}
        y={y - 2.75}
        width={width}
        height={5.5}
        rx={2}
        fill={rib.isNow ? 'var(--sheet)' : 'var(--dark-rib)'}
        stroke="var(--dark-rib)"
        strokeWidth={0.8}
      />
      {lit > 0 && <rect x={left} y={y - 2.75} width={lit} height={5.5} rx={2} fill="var(--lit)" />}
      {rib.isNow && (
        <path
          d={`M${middle + half + 5} ${y + 5} q6 -4 1 -12 q-7 7 -1 12z`}
          fill="var(--lit)"
          stroke="var(--ink)"
          strokeWidth={0.9}
        />
      )}
    </g>
  );
}
