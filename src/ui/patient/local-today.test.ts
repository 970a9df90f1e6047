import { localToday, shiftedDate } from './local-today';
import type { LocalDate } from '@/core/units';

describe('the day a phone shows', () => {
  const at = Date.parse('2026-11-25T23:30:00Z');

  it('is the patient’s, wherever the phone is', () => {
    expect(localToday('Europe/Lisbon', at)).toBe('2026-11-25');
    expect(localToday('Pacific/Apia', at)).toBe('2026-11-26');
    expect(localToday('America/New_York', at)).toBe('2026-11-25');
    expect(localToday('Australia/Lord_Howe', at)).toBe('2026-11-26');
  });

  it('is UTC’s where the zone is not known to the browser', () => {
    expect(localToday('Nowhere/Land', at)).toBe('2026-11-25');
  });

  it('goes back and forth over months, years and changed clocks', () => {
    const date = (text: string) => text as LocalDate;
    expect(shiftedDate(date('2026-10-25'), -1)).toBe('2026-10-24');
    expect(shiftedDate(date('2026-12-31'), 1)).toBe('2027-01-01');
    expect(shiftedDate(date('2028-02-28'), 1)).toBe('2028-02-29');
    expect(shiftedDate(shiftedDate(date('2026-03-29'), 40), -40)).toBe('2026-03-29');
  });
});
