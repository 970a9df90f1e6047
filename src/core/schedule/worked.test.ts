import fc from 'fast-check';
import { plannedLines, FIRST, waking } from '../../../tests/support/programme-cases';
import { dose } from '../../../tests/support/dose-lines';
import { asLine, drawnCases } from '../../../tests/support/worked';
import { formatDose } from '../dose';
import { addDays, localDate, seconds, clockText } from '../units';
import {
  type RibbonSession,
  type SessionSlot,
  type WallMinute,
  type Zone,
  calendarDays,
  dateExists,
  dateIn,
  everyWallMinutes,
  instantAt,
  instantsOf,
  isDueOn,
  later,
  layRibbon,
  minuteIn,
  parseZone,
  sessionLabel,
  sessionsOn,
  snapMinute,
  timesPerDay,
  versionOn,
} from '.';

const minute = (value: number) => value as WallMinute;

it('when a dose is due, and how often', () => {
  expect(
    drawnCases(fc.tuple(dose, waking), 60, 2).map(([one, hours]) =>
      asLine(
        formatDose(one),
        Array.from({ length: 40 }, (_, day) =>
          isDueOn(
            { lineage: 'a', anchor: FIRST, dose: one },
            addDays(FIRST, day - 2),
            addDays(FIRST, 30),
          )
            ? 'x'
            : '.',
        ).join(''),
        timesPerDay(one.times, hours),
      ),
    ),
  ).toMatchSnapshot();
  expect(
    [30, 90, 120, 720].map((apart) =>
      everyWallMinutes(apart, { wake: minute(1380), sleep: minute(420) }),
    ),
  ).toMatchSnapshot();
});

it('the sessions of a day, and how they are laid out', () => {
  expect(
    drawnCases(fc.tuple(plannedLines, waking, fc.nat({ max: 9 })), 60, 3).map(
      ([lines, hours, ahead]) => {
        const day = sessionsOn(addDays(FIRST, ahead), lines, hours, addDays(FIRST, 8));
        const sessions = day.sessions.map(({ key, slot }, i) => ({
          key,
          slot,
          seconds: seconds(100 + i * 170),
        }));
        const busy = [
          { from: 480, to: 720, label: 'work' },
          { from: 30, to: 50, label: 'bath' },
        ];
        const dragged = { 'session-1': 800, 'session-2': 500, waking: 5 };
        const ribbon = layRibbon(sessions, hours, ahead % 2 ? busy : [], ahead % 3 ? dragged : {});
        return asLine(
          day.sessions
            .map(
              ({ key, slot, lines: within }) =>
                `${key} (${sessionLabel(slot)}): ${within.map(({ lineage }) => lineage).join(' ')}`,
            )
            .slice(0, 6),
          day.asNeeded.length,
          [ribbon.wake, ribbon.sleep],
          ribbon.placed
            .map(({ key, from, to, how }) => `${key} ${clockText(from)}-${clockText(to)} ${how}`)
            .slice(0, 6),
          ribbon.ticks.length,
          ribbon.unplaced.map(({ say }) => say).slice(0, 2),
        );
      },
    ),
  ).toMatchSnapshot();
});

it('a crowded day, to the minute', () => {
  const slots: SessionSlot[] = [
    { kind: 'any', nth: 1, of: 3 },
    { kind: 'any', nth: 2, of: 3 },
    { kind: 'any', nth: 3, of: 3 },
    { kind: 'on waking' },
    { kind: 'before training' },
    { kind: 'after training' },
    { kind: 'at', minute: minute(600), minutesApart: 60 },
  ];
  const sessions = (long: number): RibbonSession[] =>
    slots.map((slot, i) => ({ key: `s${i}`, slot, seconds: seconds(long) }));
  const hours = { wake: minute(420), sleep: minute(720) };
  expect(
    [59, 60, 61, 179, 180, 1200, 2400, 4000, 18_000, 18_001].map((long) =>
      layRibbon(sessions(long), hours, [], {}),
    ),
  ).toMatchSnapshot();
  const [first] = sessions(600);
  if (!first) throw new Error('no session');
  expect(
    [
      [420, 430],
      [710, 720],
      [430, 720],
      [419, 430],
      [420, 711],
      [420, 710],
      [431, 720],
    ].map(([from = 0, to = 0]) => layRibbon([first], hours, [{ from, to, label: '' }], {})),
  ).toMatchSnapshot();
  expect(
    [419, 420, 709, 710, 711].map((at) => layRibbon([first], hours, [], { s0: at }).placed),
  ).toMatchSnapshot();
  expect([0, 2, 2.5, 3, 7, 1439].map(snapMinute)).toMatchSnapshot();
  expect([0, 5, 59, 60, 719, 1439, 1440, 1505, -5].map(clockText)).toMatchSnapshot();
  expect(
    [1, 2, 3, 4].flatMap((of) =>
      Array.from({ length: of }, (_, i) => sessionLabel({ kind: 'any', nth: i + 1, of })),
    ),
  ).toMatchSnapshot();
});

it('zones, across clock changes', () => {
  const zones = [
    'Europe/Lisbon',
    'America/New_York',
    'Pacific/Apia',
    'Asia/Kathmandu',
    'Africa/Cairo',
  ] as Zone[];
  const days = [localDate('2026-03-29'), localDate('2026-10-25'), localDate('2011-12-30')];
  expect(
    zones.flatMap((zone) =>
      days.map((day) => {
        const at = [0, 90, 150, 1439, 1500].map((one) => instantAt(zone, day, minute(one)));
        return asLine(
          zone,
          day,
          dateExists(zone, day),
          at,
          at.map((one) => [dateIn(zone, one), minuteIn(zone, one)]),
          instantsOf(zone, day, [minute(120), minute(60), minute(120)]).length,
          calendarDays(zone, addDays(day, -1), addDays(day, 1)),
        );
      }),
    ),
  ).toMatchSnapshot();
  expect([
    parseZone('Europe/Lisbon'),
    parseZone('Nowhere/Land'),
    parseZone(''),
    later(5 as never, 10),
  ]).toMatchSnapshot();
});

it('the version of a date', () => {
  const versions = [
    [1, 0],
    [2, 5],
    [3, 5],
    [4, 20],
  ].map(([number = 0, from = 0]) => ({ number, effectiveFrom: addDays(FIRST, from) }));
  expect(
    [-1, 0, 4, 5, 19, 20, 30].map(
      (day) => versionOn(versions, addDays(FIRST, day))?.number ?? null,
    ),
  ).toMatchSnapshot();
  expect(versionOn([...versions].reverse(), addDays(FIRST, 6))?.number).toBe(3);
});
