import fc from 'fast-check';
import { runs } from '../../../tests/support/runs';
import { RRule } from 'rrule';
import { parseDose } from '../dose';
import { WEEKDAYS, addDays, dateRange, localDate } from '../units';
import { type ScheduledLine, type WakingHours, everyWallMinutes, isDueOn } from './due';
import { sessionLabel } from './session-label';
import { instantsOf, sessionsOn } from './sessions';
import { versionOn } from './versions';
import { calendarDays } from './calendar-days';
import { type Instant, type WallMinute, type Zone, dateIn, dayBegins, instantAt } from './zone';

const zone = (name: string) => name as Zone;
const minute = (hours: number, minutes = 0) => (hours * 60 + minutes) as WallMinute;
const waking: WakingHours = { wake: minute(7), sleep: minute(22) };

function line(text: string, anchor = '2026-11-02', lineage = text): ScheduledLine {
  const parsed = parseDose(text);
  if (!parsed.ok) throw new Error(`${text}: ${parsed.say}`);
  return { lineage, anchor: localDate(anchor), dose: parsed.value };
}

const dueDates = (item: ScheduledLine, from: string, to: string, review: string | null = null) =>
  dateRange(localDate(from), localDate(to)).filter((date) =>
    isDueOn(item, date, review === null ? null : localDate(review)),
  );

describe('the days of a line', () => {
  it('counts every other day from the anchor, whatever the version', () => {
    expect(dueDates(line('x10 every other day'), '2026-11-01', '2026-11-07')).toEqual([
      '2026-11-02',
      '2026-11-04',
      '2026-11-06',
    ]);
  });

  it('keeps the beat across a clock change', () => {
    const dates = dueDates(line('x10 every other day', '2026-10-22'), '2026-10-22', '2026-10-28');
    expect(dates).toEqual(['2026-10-22', '2026-10-24', '2026-10-26', '2026-10-28']);
  });

  it('includes the first and the last day', () => {
    expect(dueDates(line('x10 until 3 days'), '2026-11-01', '2026-11-30')).toHaveLength(3);
    expect(dueDates(line('x10 from day 15 until 16 days'), '2026-11-01', '2026-11-30')).toEqual([
      '2026-11-16',
      '2026-11-17',
    ]);
    expect(dueDates(line('x10 until 2026-11-03'), '2026-11-01', '2026-11-30')).toHaveLength(2);
  });

  it('goes on until the review, and on when none is set', () => {
    expect(
      dueDates(line('x10 until review'), '2026-11-01', '2026-11-30', '2026-11-10'),
    ).toHaveLength(9);
    expect(dueDates(line('x10 until review'), '2026-11-01', '2026-11-30')).toHaveLength(29);
  });

  it('agrees with the registry’s recurrence library (RFC 5545 rules) on any day rule', () => {
    const anchor = fc
      .integer({ min: 0, max: 2000 })
      .map((days) => addDays(localDate('2024-01-01'), days));
    const rule = fc.oneof(
      fc.constant('daily'),
      fc.integer({ min: 2, max: 31 }).map((n) => `every ${n} days`),
      fc.subarray([...WEEKDAYS], { minLength: 1 }).map((days) => days.join(' ')),
    );
    fc.assert(
      fc.property(anchor, rule, fc.integer({ min: 1, max: 60 }), (start, text, last) => {
        const ours = dueDates(
          line(`x10 ${text} until ${last} days`, start),
          start,
          addDays(start, 90),
        );
        const dose = line(`x10 ${text}`).dose;
        const end = new Date(`${addDays(start, last - 1)}T00:00:00Z`);
        const byweekday =
          dose.days?.kind === 'weekdays'
            ? dose.days.weekdays.map((day) => WEEKDAYS.indexOf(day))
            : undefined;
        const theirs = new RRule({
          freq: RRule.DAILY,
          interval: dose.days?.kind === 'every' ? dose.days.n : 1,
          dtstart: new Date(`${start}T00:00:00Z`),
          until: end,
          ...(byweekday ? { byweekday } : {}),
        }).all();
        expect(ours).toEqual(theirs.map((date) => date.toISOString().slice(0, 10)));
      }),
      runs(2000),
    );
  });
});

describe('zones (IANA time-zone database)', () => {
  it('leaves out the day that Apia never had', () => {
    expect(
      calendarDays(zone('Pacific/Apia'), localDate('2011-12-28'), localDate('2012-01-01')),
    ).toEqual(['2011-12-28', '2011-12-29', '2011-12-31', '2012-01-01']);
  });

  it('takes the date from the patient’s zone, not from UTC', () => {
    const instant = Date.parse('2026-11-23T23:30:00Z') as Instant;
    expect(dateIn(zone('Europe/Lisbon'), instant)).toBe('2026-11-23');
    expect(dateIn(zone('Pacific/Auckland'), instant)).toBe('2026-11-24');
    expect(dateIn(zone('America/New_York'), instant)).toBe('2026-11-23');
  });

  // The runtime's own calendar (ECMA-402) is the reference; the clocks of St John's went back at one past midnight.
  it.each([
    ['America/St_Johns', '1999-10-31T02:30Z'],
    ['Pacific/Apia', '2011-12-30T10:00Z'],
    ['Europe/Lisbon', '2026-10-25T01:00Z'],
    ['Africa/Cairo', '2026-04-23T22:00Z'],
    ['Asia/Kolkata', '2026-11-30T18:30Z'],
  ])('%s is asked its date over and over, around %s', (name, around) => {
    const reference = new Intl.DateTimeFormat('en-CA', {
      timeZone: name,
      year: 'numeric',
      month: '2-digit',
      day: '2-digit',
    });
    const minutes = Array.from({ length: 6 * 24 }, (_, at) => (at - 3 * 24) * 20);
    const order = [...minutes, ...[...minutes].reverse(), -1, 0, 1, -61, 61, 0, -1];
    for (const offset of order) {
      const instant = (Date.parse(around) + offset * 60_000) as Instant;
      expect(`${offset} ${dateIn(zone(name), instant)}`).toBe(
        `${offset} ${reference.format(instant)}`,
      );
    }
  });

  it.each([
    ['Europe/Lisbon', '2026-10-25'],
    ['America/New_York', '2027-03-14'],
    ['Australia/Lord_Howe', '2026-10-04'],
  ])('keeps the wall clock on %s’s change of %s', (name, date) => {
    const minutes = everyWallMinutes(120, waking);
    const instants = instantsOf(zone(name), localDate(date), minutes);
    const clock = new Intl.DateTimeFormat('en-GB', {
      timeZone: name,
      hour: '2-digit',
      minute: '2-digit',
    });
    expect(instants.map((instant) => clock.format(instant))).toEqual([
      '07:00',
      '09:00',
      '11:00',
      '13:00',
      '15:00',
      '17:00',
      '19:00',
      '21:00',
    ]);
  });

  it.each([
    ['Europe/Lisbon', '2026-12-01', '2026-12-01T00:00:00Z'],
    ['Asia/Kathmandu', '2026-12-01', '2026-11-30T18:15:00Z'],
    // The clocks skipped that midnight.
    ['America/Sao_Paulo', '2018-11-04', '2018-11-04T03:00:00Z'],
  ])('a date begins in %s (%s), however often it is asked', (where, date, at) => {
    const begins = () => dayBegins(zone(where), localDate(date));
    expect([begins(), begins()]).toEqual([Date.parse(at), Date.parse(at)]);
    expect(dayBegins(zone(where), localDate('2027-01-01'))).not.toBe(begins());
  });

  it('moves a time the clocks skip, and never doubles one', () => {
    const newYork = zone('America/New_York');
    const date = localDate('2027-03-14');
    expect(instantAt(newYork, date, minute(2, 30))).toBe(instantAt(newYork, date, minute(3, 30)));
    expect(instantsOf(newYork, date, [minute(1, 30), minute(2, 30), minute(3, 30)])).toHaveLength(
      2,
    );
  });
});

describe('the sessions of a day', () => {
  const on = (...texts: string[]) =>
    sessionsOn(
      localDate('2026-11-02'),
      texts.map((text) => line(text)),
      waking,
    );

  it('puts a line done twice a day in the first two sessions', () => {
    const { sessions } = on('x10', 'x5 2/day');
    expect(sessions.map((s) => [s.key, s.lines.map((l) => l.lineage)])).toEqual([
      ['session-1', ['x10', 'x5 2/day']],
      ['session-2', ['x5 2/day']],
    ]);
  });

  it('gives waking, training and every-two-hours lines their own', () => {
    const { sessions, asNeeded } = on(
      'x10 on waking',
      'x5',
      'x3 every 2h',
      'x2 after training',
      'x1 as needed',
    );
    expect(sessions.map((s) => s.key)).toEqual([
      'waking',
      'session-1',
      'after-training',
      ...Array.from({ length: 8 }, (_, i) => `every-120-${i + 1}`),
    ]);
    expect(asNeeded.map((l) => l.lineage)).toEqual(['x1 as needed']);
  });

  it('stays within waking hours, also of somebody who works at night', () => {
    expect(everyWallMinutes(120, { wake: minute(16), sleep: minute(8) }).at(-1)).toBe(minute(32));
    expect(everyWallMinutes(240, waking)).toEqual([420, 660, 900, 1140]);
  });

  it('has a whole day’s beats for who goes to bed when they got up, and none beyond the sleep', () => {
    expect(everyWallMinutes(720, { wake: minute(7), sleep: minute(7) })).toEqual([420, 1140, 1860]);
    const almost = { wake: minute(0, 1), sleep: minute(0) };
    expect(everyWallMinutes(1440, almost)).toEqual([1]);
    expect(everyWallMinutes(1439, almost)).toEqual([1, 1440]);
  });

  it('are called by when they are', () => {
    const { sessions } = on('x1 on waking', 'x1 after waking', 'x1');
    expect(sessions.map(({ slot }) => sessionLabel(slot))).toEqual([
      'On waking',
      'Today’s session',
      'An hour after waking',
    ]);
  });

  it('is empty on a day nothing is due', () => {
    const later = line('x10 from day 20');
    expect(sessionsOn(localDate('2026-11-02'), [later], waking).sessions).toEqual([]);
  });
});

describe('versions', () => {
  const version = (number: number, from: string) => ({ number, effectiveFrom: localDate(from) });

  it('finds the one in force', () => {
    const versions = [version(1, '2026-11-01'), version(2, '2026-11-10'), version(3, '2026-11-20')];
    expect(versionOn(versions, localDate('2026-10-31'))).toBeNull();
    expect(versionOn(versions, localDate('2026-11-10'))?.number).toBe(2);
    expect(versionOn(versions, localDate('2027-01-01'))?.number).toBe(3);
  });

  it('lets a later version replace one planned for a later date', () => {
    const versions = [version(1, '2026-11-01'), version(2, '2026-11-20'), version(3, '2026-11-15')];
    expect(versionOn(versions, localDate('2026-11-25'))?.number).toBe(3);
  });
});
