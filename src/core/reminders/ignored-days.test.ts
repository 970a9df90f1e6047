import { type LocalDate, addDays, localDate } from '../units';
import { ignoredDays } from '.';

const TODAY = localDate('2026-11-25');
const always = () => true;
const never = () => false;
/** True on so many days ago. */
const on = (...ago: number[]) => {
  const dates = new Set<LocalDate>(ago.map((days) => addDays(TODAY, -days)));
  return (date: LocalDate) => dates.has(date);
};

describe('days that were ignored', () => {
  it('end at the last day that was done', () => {
    expect(ignoredDays(TODAY, always, on(1))).toBe(0);
    expect(ignoredDays(TODAY, always, on(3))).toBe(2);
    expect(ignoredDays(TODAY, always, on(14))).toBe(13);
  });

  it('are looked back for a fortnight, today not among them', () => {
    expect(ignoredDays(TODAY, always, never)).toBe(14);
    expect(ignoredDays(TODAY, always, on(15))).toBe(14);
    expect(ignoredDays(TODAY, on(0), never)).toBe(0);
  });

  it('are only those on which something was due', () => {
    expect(ignoredDays(TODAY, never, never)).toBe(0);
    expect(ignoredDays(TODAY, on(2, 4, 6), on(5))).toBe(3);
    expect(ignoredDays(TODAY, on(2, 4, 6), on(4))).toBe(1);
  });
});
