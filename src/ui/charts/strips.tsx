import type { DayAdherence } from '@/core/adherence';
import { type LocalDate, addDays } from '@/core/units';
import { type DayAxis, dayAxis, tickText } from './day-axis';

export type StripSeam = { readonly date: LocalDate; readonly number: number };
export type PainPoint = { readonly date: LocalDate; readonly pain: number };

const WIDTH = 1000;
const FEWEST_DAYS = 28;
const DOSE = { top: 22, height: 64 } as const;
const PAIN = { top: 118, height: 84 } as const;
const BOTTOM = PAIN.top + PAIN.height;

/**
 * Adherence and pain as two thin strips on one day axis, programme versions as seams through both.
 * The same numbers stand in the table beside it, so the drawing itself carries one sentence only.
 */
export function Strips({
  days,
  pains,
  seams,
  today,
  label,
}: {
  days: readonly DayAdherence[];
  pains: readonly PainPoint[];
  seams: readonly StripSeam[];
  today: LocalDate;
  label: string;
}) {
  const first = days[0]?.date ?? today;
  const fourWeeks = addDays(first, FEWEST_DAYS - 1);
  const last = days.at(-1)?.date ?? today;
  // A programme of a few days gets the room of four weeks, or its ribs would be walls.
  const axis = dayAxis(first, last > fourWeeks ? last : fourWeeks, WIDTH);
  return (
    <svg
      role="img"
      aria-label={label}
      viewBox={`-64 0 ${WIDTH + 74} ${BOTTOM + 24}`}
      className="w-full min-w-[46rem]"
    >
      <StripName y={DOSE.top} name="Dose done" high="100 %" low="0" height={DOSE.height} />
      <StripName y={PAIN.top} name="Pain after" high="10" low="0" height={PAIN.height} />
      {days.map((day) => (
        <DoseDay key={day.date} day={day} axis={axis} />
      ))}
      <PainStrip pains={pains} axis={axis} />
      {seams
        .filter((seam) => axis.x(seam.date) !== undefined)
        .map((seam) => (
          <Seam key={seam.number} seam={seam} axis={axis} />
        ))}
      {axis.ticks.map((date) => (
        <text key={date} x={axis.x(date) ?? 0} y={BOTTOM + 17} fontSize={12} fill="var(--soft)">
          {tickText(date)}
        </text>
      ))}
    </svg>
  );
}

function StripName({
  y,
  name,
  high,
  low,
  height,
}: {
  y: number;
  name: string;
  high: string;
  low: string;
  height: number;
}) {
  return (
    <g fontSize={12} fill="var(--soft)" textAnchor="end">
      <text x={-8} y={y - 6} textAnchor="start" fill="var(--ink)" fontWeight={600} dx={-56}>
        {name}
      </text>
      <text x={-8} y={y + 10}>
        {high}
      </text>
      <text x={-8} y={y + height}>
        {low}
      </text>
      <line x1={-4} x2={WIDTH} y1={y + height + 0.5} y2={y + height + 0.5} stroke="var(--hair)" />
      <line
        x1={-4}
        x2={WIDTH}
        y1={y + 0.5}
        y2={y + 0.5}
        stroke="var(--hair)"
        strokeDasharray="2 4"
      />
    </g>
  );
}

/** A due day is a rib standing up, lit from below by the share done; a rest day is a bare tick. */
function DoseDay({ day, axis }: { day: DayAdherence; axis: DayAxis }) {
  const x = axis.x(day.date) ?? 0;
  const wide = axis.x.bandwidth();
  const base = DOSE.top + DOSE.height;
  if (day.kind === 'before' || day.kind === 'future') return null;
  if (day.kind === 'rest')
    return <rect x={x} y={base - 3} width={wide} height={3} fill="var(--dark-rib)" opacity={0.5} />;
  if (day.kind === 'paused') {
    return (
      <rect
        x={x}
        y={DOSE.top}
        width={wide}
        height={DOSE.height}
        fill="none"
        stroke="var(--dark-rib)"
        strokeWidth={0.8}
        strokeDasharray="2 3"
      />
    );
  }
  const lit = day.share * DOSE.height;
  return (
    <g>
      <rect
        x={x}
        y={DOSE.top}
        width={wide}
        height={DOSE.height}
        fill={day.isToday ? 'none' : 'var(--dark-rib)'}
        fillOpacity={0.32}
        stroke={day.isToday ? 'var(--ink)' : 'none'}
      />
      <rect x={x} y={base - lit} width={wide} height={lit} fill="var(--lit)" />
    </g>
  );
}

function PainStrip({ pains, axis }: { pains: readonly PainPoint[]; axis: DayAxis }) {
  const y = (pain: number) => PAIN.top + PAIN.height * (1 - pain / 10);
  const middle = (date: LocalDate) => (axis.x(date) ?? 0) + axis.x.bandwidth() / 2;
  const points = pains.map(({ date, pain }) => [middle(date), y(pain)] as const);
  return (
    <g>
      <polyline
        points={points.map((point) => point.join(',')).join(' ')}
        fill="none"
        stroke="var(--plum)"
        strokeWidth={1.2}
        strokeOpacity={0.55}
      />
      {points.map(([x, at]) => (
        <circle
          key={x}
          cx={x}
          cy={at}
          r={Math.min(4, Math.max(2, axis.x.bandwidth() / 2.6))}
          fill="var(--plum)"
        />
      ))}
    </g>
  );
}

function Seam({ seam, axis }: { seam: StripSeam; axis: DayAxis }) {
  const x = (axis.x(seam.date) ?? 0) - (axis.x.step() - axis.x.bandwidth()) / 2;
  return (
    <g>
      <line x1={x} x2={x} y1={4} y2={BOTTOM} stroke="var(--ink)" strokeWidth={1.2} />
      <rect x={x} y={2} width={18} height={15} fill="var(--ink)" />
      <text
        x={x + 9}
        y={13.5}
        textAnchor="middle"
        fontSize={11}
        fontWeight={600}
        fill="var(--paper)"
      >
        {seam.number}
      </text>
    </g>
  );
}
