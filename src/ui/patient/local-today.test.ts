import { dateInZone, localToday, shiftedDate } from './local-today';
import type { PackDay } from '@/core/exchange';
import type { LocalDate } from '@/core/units';

describe('the day a phone shows', () => {
  const at = Date.parse('2026-11-25T23:30:00Z');

  it('is the patient’s, wherever the phone is', () => {
    expect(dateInZone('Europe/Lisbon', at)).toBe('2026-11-25');
    expect(dateInZone('Pacific/Apia', at)).toBe('2026-11-26');
    expect(dateInZone('America/New_York', at)).toBe('2026-11-25');
    expect(dateInZone('Australia/Lord_Howe', at)).toBe('2026-11-26');
  });

  it('is UTC’s where the zone is not known to the browser', () => {
    expect(dateInZone('Nowhere/Land', at)).toBe('2026-11-25');
  });

  it('is the pack’s as long as it says when its days end, and else the calendar’s', () => {
    const day = (date: string, until?: number) => ({ date, until }) as unknown as PackDay;
    const end = Date.parse('2026-11-26T00:00Z');
    const pack = {
      zone: 'Europe/Lisbon',
      at: at - 1000,
      days: [day('2026-11-25', end), day('2026-11-26', end + 86_400_000)] as const,
    };
    expect(localToday(pack, at)).toBe('2026-11-25');
    expect(localToday(pack, end)).toBe('2026-11-26');
    // Before it was made, past its last day, and one of before.
    expect(localToday(pack, at - 2 * 86_400_000)).toBe('2026-11-23');
    expect(localToday(pack, end + 3 * 86_400_000)).toBe('2026-11-29');
    expect(localToday({ ...pack, days: [day('2026-11-20')] }, at)).toBe('2026-11-25');
  });

  it('goes back and forth over months, years and changed clocks', () => {
    const date = (text: string) => text as LocalDate;
    expect(shiftedDate(date('2026-10-25'), -1)).toBe('2026-10-24');
    expect(shiftedDate(date('2026-12-31'), 1)).toBe('2027-01-01');
    expect(shiftedDate(date('2028-02-28'), 1)).toBe('2028-02-29');
    expect(shiftedDate(shiftedDate(date('2026-03-29'), 40), -40)).toBe('2026-03-29');
  });
});
