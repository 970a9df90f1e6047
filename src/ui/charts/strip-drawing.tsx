import { line as pathOf, scaleLinear } from 'd3';
import type { DayAdherence } from '@/core/adherence';
import { SORENESS } from '@/core/adherence';
import type { Strip } from '@/core/follow';
import { type LocalDate, toTenth } from '@/core/units';
import { type DayAxis, tickText } from './day-axis';

export type DrawnSeam = { readonly date: LocalDate; readonly number: number };

/** Widths and heights in the units of the view box. */
export const STRIP_WIDTH = 1000;
export const STRIP_LEFT = 150;
const GAP = 16;
const TOP = 20;
const AXIS = 24;

const HEIGHTS: Readonly<Record<Strip['kind'], number>> = {
  dose: 46,
  times: 54,
  skips: 16,
  band: 70,
  reach: 56,
  'yes-no': 14,
  soreness: 26,
  line: 46,
  notes: 12,
};

/** Where each strip stands, from the top. */
export function stripLayout(strips: readonly Strip[]): {
  readonly tops: readonly number[];
  readonly height: number;
} {
  let y = TOP;
  const tops = strips.map(({ kind }) => {
    const top = y;
    y += HEIGHTS[kind] + GAP;
    return top;
  });
  return { tops, height: y + AXIS };
}

/** Colours of the drawing: the page's own, or fixed ones for a file that leaves it. */
export type StripColours = Readonly<
  Record<'ink' | 'soft' | 'hair' | 'dark' | 'lit' | 'plum' | 'action' | 'stop' | 'paper', string>
>;
export const PAGE_COLOURS: StripColours = {
  ink: 'var(--ink)',
  soft: 'var(--soft)',
  hair: 'var(--hair)',
  dark: 'var(--dark-rib)',
  lit: 'var(--lit)',
  plum: 'var(--plum)',
  action: 'var(--action)',
  stop: 'var(--stop)',
  paper: 'var(--paper)',
};
/** The light theme's, for files. */
export const FILE_COLOURS: StripColours = {
  ink: '#14221d',
  soft: '#55655f',
  hair: '#c9d3d0',
  dark: '#93a19c',
  lit: '#e39a18',
  plum: '#7a2f66',
  action: '#16408f',
  stop: '#b3261e',
  paper: '#f7faf9',
};

/**
 * All strips on one day axis: few paths each, however many days, so that a year stays smooth. The
 * same numbers stand in the table, so the drawing carries one sentence only.
 */
export function StripDrawing({
  strips,
  axis,
  seams,
  reviews,
  colours = PAGE_COLOURS,
}: {
  strips: readonly Strip[];
  axis: DayAxis;
  seams: readonly DrawnSeam[];
  reviews: readonly LocalDate[];
  colours?: StripColours;
}) {
  const { tops, height } = stripLayout(strips);
  const dose = strips.find((strip) => strip.kind === 'dose');
  const bottom = height - AXIS;
  return (
    <g>
      {dose?.kind === 'dose' && (
        <Pauses days={dose.days} axis={axis} bottom={bottom} colours={colours} />
      )}
      {strips.map((strip, index) => (
        <g key={strip.id} transform={`translate(0 ${tops[index]})`}>
          <StripName strip={strip} colours={colours} />
          <Marks strip={strip} axis={axis} colours={colours} />
        </g>
      ))}
      {seams.map(({ date, number }) => {
        const x = axis.x(date);
        return x === undefined ? null : (
          <g key={number}>
            <line x1={x} x2={x} y1={6} y2={bottom} stroke={colours.action} strokeOpacity={0.7} />
            <text x={x + 3} y={13} fontSize={11} fill={colours.action}>
              {number}
            </text>
          </g>
        );
      })}
      {[...new Set(reviews)].map((date) => {
        const x = axis.x(date);
        return x === undefined ? null : (
          <path
            key={date}
            d={`M${x} ${bottom}V4h9l-3 4 3 4h-9`}
            fill={colours.lit}
            stroke={colours.ink}
            strokeWidth={0.7}
          />
        );
      })}
      {axis.ticks.map((date) => (
        <text key={date} x={axis.x(date) ?? 0} y={bottom + 16} fontSize={12} fill={colours.soft}>
          {tickText(date)}
        </text>
      ))}
    </g>
  );
}

/** Paused days hatched through all strips. */
function Pauses({
  days,
  axis,
  bottom,
  colours,
}: {
  days: readonly DayAdherence[];
  axis: DayAxis;
  bottom: number;
  colours: StripColours;
}) {
  const wide = axis.x.step();
  const d = days
    .filter(({ kind }) => kind === 'paused')
    .flatMap(({ date }) => {
      const x = axis.x(date);
      if (x === undefined) return [];
      const lines: string[] = [];
      for (let y = TOP; y < bottom; y += 7) lines.push(`M${x} ${y + 5}L${x + wide} ${y}`);
      return lines;
    })
    .join('');
  return <path d={d} stroke={colours.dark} strokeWidth={0.6} fill="none" />;
}

const ENDS: Readonly<Partial<Record<Strip['kind'], readonly [string, string]>>> = {
  dose: ['100 %', '0'],
  times: ['00:00', '24:00'],
  band: ['10', '0'],
  reach: ['far end', 'spine'],
  soreness: ['none', 'flare'],
};

function StripName({ strip, colours }: { strip: Strip; colours: StripColours }) {
  const height = HEIGHTS[strip.kind];
  const ends = strip.kind === 'line' ? lineEnds(strip.points) : ENDS[strip.kind];
  const name = strip.name.length > 20 ? `${strip.name.slice(0, 19)}…` : strip.name;
  return (
    <g fontSize={12} fill={colours.soft}>
      <text x={-STRIP_LEFT} y={ends ? 10 : height - 2} fill={colours.ink} fontWeight={600}>
        <title>{strip.name}</title>
        {name}
      </text>
      {ends && (
        <g textAnchor="end" fontSize={10}>
          <text x={-6} y={9}>
            {height > 40 ? ends[0] : ''}
          </text>
          <text x={-6} y={height}>
            {ends[1]}
          </text>
        </g>
      )}
      {strip.kind === 'line' && (
        <text x={-STRIP_LEFT} y={24} fontSize={10}>
          {strip.unit}
        </text>
      )}
      <line x1={-2} x2={STRIP_WIDTH} y1={height + 0.5} y2={height + 0.5} stroke={colours.hair} />
    </g>
  );
}

function lineEnds(points: readonly { readonly value: number }[]): readonly [string, string] {
  const values = points.map(({ value }) => value);
  return [String(Math.round(Math.max(...values))), String(Math.round(Math.min(0, ...values)))];
}

function Marks({ strip, axis, colours }: { strip: Strip; axis: DayAxis; colours: StripColours }) {
  const height = HEIGHTS[strip.kind];
  const wide = axis.x.bandwidth();
  const middle = (date: LocalDate) => (axis.x(date) ?? 0) + wide / 2;
  const there = <T extends { readonly date: LocalDate }>(points: readonly T[]) =>
    points.filter(({ date }) => axis.x(date) !== undefined);
  const dot = Math.max(1.4, Math.min(3, wide / 2));
  /** Dots as one path: circles of so many marks would be slow. */
  const dots = (places: readonly (readonly [number, number])[], r = dot) =>
    places
      .map(
        ([x, y]) =>
          `M${toTenth(x - r)} ${toTenth(y)}a${r} ${r} 0 1 0 ${2 * r} 0a${r} ${r} 0 1 0 ${-2 * r} 0`,
      )
      .join('');
  const bar = (date: LocalDate, top: number, bottom: number) =>
    `M${toTenth(axis.x(date) ?? 0)} ${toTenth(bottom)}v${toTenth(top - bottom)}h${toTenth(wide)}v${toTenth(bottom - top)}z`;
  switch (strip.kind) {
    case 'dose': {
      const due = there(strip.days).filter((day) => day.kind === 'due');
      const lit = due.map((day) => bar(day.date, height * (1 - day.share), height)).join('');
      const dark = due.map((day) => bar(day.date, 0, height)).join('');
      const rest = there(strip.days)
        .filter(({ kind }) => kind === 'rest')
        .map(({ date }) => bar(date, height - 3, height))
        .join('');
      return (
        <>
          <path d={dark} fill={colours.dark} fillOpacity={0.32} />
          <path d={rest} fill={colours.dark} fillOpacity={0.6} />
          <path d={lit} fill={colours.lit} />
        </>
      );
    }
    case 'times': {
      const y = scaleLinear([0, 1440], [0, height]);
      const places = (done: boolean) =>
        there(strip.points)
          .filter(({ share }) => share >= 0.5 === done)
          .map(({ date, minute }) => [middle(date), y(minute)] as const);
      return (
        <>
          <path d={dots(places(true))} fill={colours.lit} stroke={colours.ink} strokeWidth={0.5} />
          <path d={dots(places(false))} fill="none" stroke={colours.ink} strokeWidth={0.8} />
        </>
      );
    }
    case 'skips': {
      const d = there(strip.points)
        .map(({ date }) => {
          const x = middle(date);
          return `M${toTenth(x - 4)} 3l8 8m0 -8l-8 8`;
        })
        .join('');
      return <path d={d} stroke={colours.ink} strokeWidth={1.4} fill="none" />;
    }
    case 'band': {
      const y = scaleLinear([0, strip.most], [height, 0]);
      const points = there(strip.points);
      const spans = points
        .map(
          ({ date, low, high }) =>
            `M${toTenth(middle(date))} ${toTenth(y(low))}V${toTenth(y(high) - 0.01)}`,
        )
        .join('');
      const top = pathOf<(typeof points)[number]>(
        ({ date }) => middle(date),
        ({ high }) => y(high),
      )(points);
      return (
        <>
          <path
            d={spans}
            stroke={colours.plum}
            strokeOpacity={0.35}
            strokeWidth={Math.max(2, wide * 0.8)}
          />
          <path d={top ?? ''} stroke={colours.plum} strokeOpacity={0.55} fill="none" />
          <path
            d={dots(
              points.filter((p) => !p.recalled).map((p) => [middle(p.date), y(p.high)] as const),
            )}
            fill={colours.plum}
          />
          <path
            d={dots(
              points.filter((p) => p.recalled).map((p) => [middle(p.date), y(p.high)] as const),
            )}
            fill={colours.paper}
            stroke={colours.plum}
          />
        </>
      );
    }
    case 'reach': {
      const y = scaleLinear([-1, 6], [height, 4]);
      const points = there(strip.points);
      const d = points
        .map(({ date, value }) => bar(date, value < 0 ? height - 1 : y(value), height))
        .join('');
      return <path d={d} fill={colours.plum} fillOpacity={0.55} />;
    }
    case 'yes-no': {
      const places = (value: boolean) =>
        there(strip.points)
          .filter((point) => point.value === value)
          .map(({ date }) => [middle(date), 7] as const);
      return (
        <>
          <path d={dots(places(true), 3.4)} fill={colours.plum} />
          <path d={dots(places(false), 2)} fill="none" stroke={colours.dark} />
        </>
      );
    }
    case 'soreness': {
      const y = scaleLinear([0, SORENESS.length - 1], [4, height - 4]);
      const of = (flare: boolean) =>
        there(strip.points)
          .filter(({ value }) => (value === 'flare') === flare)
          .map(({ date, value }) => [middle(date), y(SORENESS.indexOf(value))] as const);
      return (
        <>
          <path d={dots(of(false))} fill={colours.soft} />
          <path d={dots(of(true), dot + 1)} fill={colours.stop} />
        </>
      );
    }
    case 'line': {
      const points = there(strip.points);
      const values = strip.points.map(({ value }) => value);
      const y = scaleLinear([Math.min(0, ...values), Math.max(1, ...values)], [height - 2, 4]);
      const d = pathOf<(typeof points)[number]>(
        ({ date }) => middle(date),
        ({ value }) => y(value),
      )(points);
      return (
        <>
          <path d={d ?? ''} stroke={colours.action} strokeOpacity={0.5} fill="none" />
          <path d={dots(points.map((p) => [middle(p.date), y(p.value)]))} fill={colours.action} />
        </>
      );
    }
    case 'notes': {
      const d = there(strip.points)
        .map(({ date }) => `M${toTenth(middle(date) - 4)} 2h8v6h-4l-2 3v-3h-2z`)
        .join('');
      return <path d={d} fill={colours.soft} />;
    }
  }
}
