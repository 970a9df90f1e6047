import { halfWidth } from './paper';
import type { Rib } from './rib';
import { toTenth } from '@/core/units';

/** Ribs of a small lantern and the distance between them; the paper bulges in the middle. */
const PITCH = 10;
const TOP = 12;

/**
 * The lantern where it is one of many: the same ribs as `Lantern` as one line for each kind of day, so
 * that a list of them is short. What is drawn once is `SmallLanternParts`, which stands on the page once.
 *
 * @param height in pixels; the width follows
 */
export function SmallLantern({
  ribs,
  label,
  height,
}: {
  ribs: readonly Rib[];
  label: string;
  height: number;
}) {
  const { tall, wide } = boxOf(ribs.length);
  const lines = { dark: '', now: '', lit: '', rest: '', paused: '' };
  let wick: string | null = null;
  for (const [index, rib] of ribs.entries()) {
    const half = halfWidth(index, ribs.length, wide);
    const y = heightOf(index);
    const line = (width: number) => `M${toTenth(wide / 2 - half)} ${y}h${toTenth(width)}`;
    if (rib.kind === 'rest' || rib.kind === 'paused') lines[rib.kind] += line(half * 2);
    if (rib.kind !== 'lit') continue;
    lines[rib.isNow ? 'now' : 'dark'] += line(half * 2);
    const share = Math.max(0, Math.min(1, rib.share));
    if (share > 0) lines.lit += line(half * 2 * share);
    if (rib.isNow) wick = `M${toTenth(wide / 2 + half + 5)} ${y + 5}q6 -4 1 -12q-7 7 -1 12z`;
  }
  return (
    <svg
      role="img"
      aria-label={label}
      viewBox={`0 0 ${wide} ${tall}`}
      height={height}
      width={toTenth((height * wide) / tall)}
      className="lantern small-lantern"
    >
      <use href={`#${FRAME}`} />
      {lines.now !== '' && <path d={lines.now} />}
      {lines.now !== '' && <path className="now" d={lines.now} />}
      {lines.dark !== '' && <path d={lines.dark} />}
      {lines.lit !== '' && <path className="lit" d={lines.lit} />}
      {lines.rest !== '' && <path className="rest" d={lines.rest} />}
      {lines.paused !== '' && <path className="paused" d={lines.paused} />}
      {wick !== null && <path className="wick" d={wick} />}
    </svg>
  );
}

const FRAME = 'small-lantern';

/** What all small lanterns of a page with so many ribs share: handle, caps and the edges of the paper. */
export function SmallLanternParts({ ribs }: { ribs: number }) {
  const { tall, wide } = boxOf(ribs);
  const middle = wide / 2;
  const edge = (sign: 1 | -1) =>
    Array.from(
      { length: ribs },
      (_, index) =>
        `${index === 0 ? 'M' : 'L'}${toTenth(middle + sign * halfWidth(index, ribs, wide))} ${heightOf(index)}`,
    ).join('');
  const cap = (y: number, height: number) => (
    <rect x={middle - 11} y={y} width={22} height={height} rx={1.5} fill="var(--ink)" />
  );
  return (
    <svg aria-hidden width={0} height={0} className="absolute">
      <symbol id={FRAME} overflow="visible">
        <path d={`M${middle - 7} 4q7 -6 14 0`} fill="none" stroke="var(--ink)" strokeWidth={1.4} />
        {cap(4, 4)}
        {cap(tall - 6, 5)}
        <path d={edge(-1) + edge(1)} fill="none" stroke="var(--dark-rib)" strokeWidth={0.7} />
      </symbol>
    </svg>
  );
}

const heightOf = (index: number) => TOP + (index + 0.5) * PITCH;

function boxOf(ribs: number): { readonly tall: number; readonly wide: number } {
  const tall = 24 + ribs * PITCH;
  return { tall, wide: toTenth(Math.max(58, Math.min(124, tall * 0.64))) };
}
