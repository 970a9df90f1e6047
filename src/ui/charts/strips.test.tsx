import { renderToStaticMarkup } from 'react-dom/server';
import type { DayAdherence } from '@/core/adherence';
import { addDays, localDate } from '@/core/units';
import { dayAxis, tickText } from './day-axis';
import { Strips } from './strips';

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

describe('the strips', () => {
  const day = (offset: number, share: number): DayAdherence => ({
    kind: 'due',
    date: addDays(first, offset),
    isToday: false,
    share,
    sessionsDue: 1,
    sessionsDone: 1,
    extraSeconds: 0,
  });

  const draw = (days: DayAdherence[], pains: { date: typeof first; pain: number }[] = []) =>
    renderToStaticMarkup(
      <Strips
        days={days}
        pains={pains}
        seams={[{ date: addDays(first, 2), number: 7 }]}
        today={addDays(first, 3)}
        label="What it shows"
      />,
    );

  it('carries its words, its seams, and no script', () => {
    const picture = draw([day(0, 1), day(1, 0.5), day(2, 0)]);
    expect(picture).toContain('aria-label="What it shows"');
    expect(picture).toContain('>7</text>');
    expect(picture).not.toContain('<script');
  });

  it('draws pain of 0 at the bottom and of 10 at the top', () => {
    const picture = draw(
      [day(0, 1)],
      [
        { date: first, pain: 0 },
        { date: addDays(first, 1), pain: 10 },
      ],
    );
    const [zero, ten] = [...picture.matchAll(/<circle cx="[\d.]+" cy="([\d.]+)"/g)].map((match) =>
      Number(match[1]),
    );
    expect(zero).toBe(202);
    expect(ten).toBe(118);
  });

  it('gives a short programme the room of four weeks', () => {
    const width = (count: number) => {
      const picture = draw(Array.from({ length: count }, (_, index) => day(index, 1)));
      return Number(/<rect x="[\d.]+" y="22" width="([\d.]+)"/.exec(picture)?.[1]);
    };
    expect(width(2)).toBeCloseTo(width(28));
    expect(width(56)).toBeLessThan(width(28));
  });

  it('draws nothing for a programme that has not begun', () => {
    expect(draw([])).not.toContain('var(--lit)');
  });
});
