import { renderToStaticMarkup } from 'react-dom/server';
import type { DayAdherence } from '@/core/adherence';
import type { Strip } from '@/core/follow';
import { addDays, localDate } from '@/core/units';
import { dayAxis, tickText } from './day-axis';
import { FILE_COLOURS, STRIP_WIDTH, StripDrawing, stripLayout } from './strip-drawing';

const first = localDate('2026-09-15');

describe('the day axis', () => {
  it('gives every day the same room, in order', () => {
    const axis = dayAxis(first, addDays(first, 69), 1000);
    expect(axis.dates).toHaveLength(70);
    const xs = axis.dates.map((date) => axis.x(date) ?? -1);
    expect(xs[0]).toBe(0);
    const steps = xs.slice(1).map((x, index) => x - (xs[index] ?? 0));
    for (const step of steps) expect(step).toBeCloseTo(axis.x.step());
  });

  it('never crowds its labels: ten weeks by the week, a year by the month', () => {
    expect(dayAxis(first, addDays(first, 69), 1000).ticks).toHaveLength(10);
    expect(dayAxis(first, addDays(first, 364), 1000).ticks.length).toBeLessThanOrEqual(12);
    expect(tickText(first)).toMatch(/^15 Sept?$/);
  });

  it('goes on over a change of the clock without a doubled or missing day', () => {
    const axis = dayAxis(localDate('2026-10-24'), localDate('2026-10-26'), 300);
    expect(axis.dates).toEqual(['2026-10-24', '2026-10-25', '2026-10-26']);
  });
});

const due = (offset: number, share: number): DayAdherence => ({
  kind: 'due',
  date: addDays(first, offset),
  isToday: false,
  share,
  sessionsDue: 1,
  sessionsDone: 1,
  extraSeconds: 0,
});
const paused = (offset: number): DayAdherence => ({
  kind: 'paused',
  date: addDays(first, offset),
  extraSeconds: 0,
});
const dose = (days: DayAdherence[]): Strip => ({ kind: 'dose', id: 'dose', name: 'Dose', days });
const pain = (...values: number[]): Strip => ({
  kind: 'band',
  id: 'pain',
  name: 'Pain',
  most: 10,
  points: values.map((high, day) => ({
    date: addDays(first, day),
    low: Math.max(0, high - 2),
    high,
    recalled: day === 1,
  })),
});
const draw = (strips: Strip[], days = 28) =>
  renderToStaticMarkup(
    <svg>
      <StripDrawing
        strips={strips}
        axis={dayAxis(first, addDays(first, days - 1), STRIP_WIDTH)}
        seams={[{ date: addDays(first, 2), number: 7 }]}
        reviews={[addDays(first, 3)]}
      />
    </svg>,
  );

describe('the strips', () => {
  it('stand under each other without touching, whichever are chosen', () => {
    const { tops, height } = stripLayout([dose([]), pain(1), dose([])]);
    expect([...tops].sort((a, b) => a - b)).toEqual(tops);
    expect(new Set(tops).size).toBe(3);
    expect(height).toBeGreaterThan(tops.at(-1) ?? 0);
    expect(stripLayout([]).tops).toEqual([]);
  });

  it('carry their seams, flags and names, and no script', () => {
    const picture = draw([dose([due(0, 1), due(1, 0.5)]), pain(3, 4)]);
    expect(picture).toContain('>7</text>');
    expect(picture).toContain('<title>Pain</title>');
    expect(picture).not.toContain('<script');
  });

  it('draw a few paths however many days there are: a year stays small', () => {
    const year = Array.from({ length: 366 }, (_, day) => due(day, 0.8));
    const values = Array.from({ length: 366 }, (_, day) => day % 10);
    const picture = draw([dose(year), pain(...values)], 366);
    expect(picture.match(/<path/g)?.length).toBeLessThan(20);
  });

  it('hatch pauses through all strips, and leave a day without pause alone', () => {
    const hatch = (days: DayAdherence[]) =>
      /<path d="([^"]*)" stroke=/.exec(draw([dose(days)]))?.[1];
    expect(hatch([due(0, 1)])).toBe('');
    expect(hatch([due(0, 1), paused(1)])).toContain('L');
  });

  it('show what was told later as a hollow dot', () => {
    expect(draw([pain(3, 4)])).toContain('fill="var(--paper)" stroke="var(--plum)"');
  });

  it('leave out what lies outside the time shown', () => {
    const late: Strip = {
      kind: 'notes',
      id: 'n',
      name: 'Words',
      points: [{ date: addDays(first, 90), say: 'later' }],
    };
    expect(draw([late])).toContain('<path d=""');
  });

  it('have a fixed colour for every one of the page, for files', () => {
    for (const colour of Object.values(FILE_COLOURS)) expect(colour).toMatch(/^#[0-9a-f]{6}$/);
  });
});
