import { Temporal } from 'temporal-polyfill';
import { share } from '../../../tests/support/runs';
import { type LocalDate, addDays, dateRange } from '../units';
import { dateExists } from './calendar-days';
import type { Zone } from './zone';

/** The same question asked of the calendar library: a second opinion. */
function existsByTemporal(zone: Zone, date: LocalDate): boolean {
  const start = Temporal.PlainDate.from(date).toZonedDateTime(zone);
  return start.toPlainDate().toString() === date;
}

describe('dates that a zone had', () => {
  // Days that zones left out when they changed sides of the date line (IANA time zone database).
  it.each([
    ['Pacific/Apia', '2011-12-30'],
    ['Pacific/Fakaofo', '2011-12-30'],
    ['Pacific/Kwajalein', '1993-08-21'],
    ['Pacific/Enderbury', '1994-12-31'],
    ['Pacific/Kiritimati', '1994-12-31'],
  ])('%s had no %s', (name, day) => {
    const [zone, date] = [name as Zone, day as LocalDate];
    expect(dateExists(zone, date)).toBe(false);
    expect(dateExists(zone, addDays(date, -1))).toBe(true);
    expect(dateExists(zone, addDays(date, 1))).toBe(true);
  });

  it('says what the calendar library says, in the zones this runtime knows', () => {
    const all = Intl.supportedValuesOf('timeZone');
    const every = Math.floor(all.length / share(all.length));
    for (const name of all.filter((_, at) => at % every === 0)) {
      const zone = name as Zone;
      for (const [from, to] of [
        ['1993-08-19', '1993-08-23'],
        ['1994-12-29', '1995-01-03'],
        ['2011-12-28', '2012-01-01'],
        ['2026-03-27', '2026-03-31'],
        ['2026-10-23', '2026-10-27'],
      ] as const)
        for (const date of dateRange(from as LocalDate, to as LocalDate))
          expect([zone, date, dateExists(zone, date)]).toEqual([
            zone,
            date,
            existsByTemporal(zone, date),
          ]);
    }
  });
});
