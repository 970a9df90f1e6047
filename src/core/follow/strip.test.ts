import type { DayAdherence } from '../adherence';
import type { DayDone } from '../history';
import { addDays, localDate, clockText } from '../units';
import {
  type DoingDay,
  type Strip,
  doingOver,
  judgeAll,
  obstaclesOf,
  PAIN_MATTERS,
  readStrip,
  readingsOf,
  sayVerdict,
  stripTable,
} from '.';

const date = localDate('2026-11-02');
const next = addDays(date, 1);
const due = (on: typeof date, share: number): DayAdherence => ({
  kind: 'due',
  date: on,
  isToday: false,
  share,
  sessionsDue: 2,
  sessionsDone: share >= 0.5 ? 1 : 0,
  extraSeconds: share > 0.9 ? 60 : 0,
});

const STRIPS: Strip[] = [
  {
    kind: 'dose',
    id: 'dose',
    name: 'Dose',
    days: [due(date, 0.5), { kind: 'rest', date: next, extraSeconds: 0 }],
  },
  { kind: 'times', id: 't', name: 'Sessions', points: [{ date, minute: 490, share: 1 }] },
  { kind: 'skips', id: 's', name: 'Left out', points: [{ date, by: { 'no time': 2 } }] },
  {
    kind: 'band',
    id: 'pain',
    name: 'Pain',
    most: 10,
    points: [{ date, low: 2, high: 5, recalled: true }],
  },
  {
    kind: 'reach',
    id: 'r',
    name: 'Arm',
    chain: 'arm',
    points: [
      { date, value: 5 },
      { date: next, value: -1 },
    ],
  },
  { kind: 'yes-no', id: 'h', name: 'Headache', points: [{ date, value: true }] },
  { kind: 'soreness', id: 'm', name: 'Morning', points: [{ date, value: 'flare' }] },
  { kind: 'line', id: 'l', name: 'Hold', unit: 's held', points: [{ date, value: 10 }] },
  { kind: 'notes', id: 'n', name: 'Words', points: [{ date, say: 'creaky' }] },
];

it('reads every kind of strip at one day', () => {
  expect(STRIPS.map((strip) => readStrip(strip, date))).toEqual([
    '50 %, 1 of 2',
    '08:10 (100 %)',
    'no time 2',
    '2–5 (told later)',
    'hand',
    'yes',
    'flare',
    '10 s held',
    'creaky',
  ]);
  expect(readStrip(STRIPS[4] as Strip, next)).toBe('nothing felt');
  const morning = (value: 'some' | 'settled'): Strip => ({
    kind: 'soreness',
    id: 'm',
    name: 'Morning',
    points: [{ date, value }],
  });
  expect([readStrip(morning('some'), date), readStrip(morning('settled'), date)]).toEqual([
    'some trouble',
    'settled',
  ]);
  expect(clockText(1500)).toBe('01:00');
});

it('is the same as a table: newest first, days that say nothing left out', () => {
  const rows = stripTable(STRIPS, [date, next, addDays(date, 2)]);
  expect(rows.map((row) => row.date)).toEqual([next, date]);
  expect(rows[0]?.cells).toEqual(['rest day', '', '', '', 'nothing felt', '', '', '', '']);
});

it('takes the worst of a band, and no number where there is none', () => {
  expect(STRIPS.map((strip) => readingsOf(strip).map(({ value }) => value))).toEqual([
    [],
    [],
    [],
    [5],
    [5, -1],
    [],
    [],
    [10],
    [],
  ]);
});

it('says a verdict in words with its numbers, and never why', () => {
  const readings = Array.from({ length: 42 }, (_, day) => ({
    date: addDays(date, day),
    value: Math.round(7 - day / 9),
  }));
  const pain = { id: 'p', name: 'Worst pain', unit: 'of 10', matters: PAIN_MATTERS, readings };
  const [judged] = judgeAll([pain], [date, addDays(date, 20)]);
  if (!judged) throw new Error('judged');
  const say = sayVerdict(pain, judged.verdict);
  expect(say).toMatch(
    /^Worst pain: improving beyond noise\. From \d\.\d to \d\.\d of 10 in 42 days, steadily: \d\.\d less/,
  );
  expect(say).toContain('Farrar 2001');
  expect(say).not.toMatch(/because|caused|thanks/);
  expect(judged.seams).toHaveLength(1);
  const [few] = judgeAll([{ ...pain, readings: readings.slice(0, 3) }], []);
  expect(few && sayVerdict(pain, few.verdict)).toContain('16 more are needed');
});

describe('are they doing it', () => {
  const log = (skipped: 'no time' | 'pain' | null) => ({
    lineage: 'a',
    share: skipped ? 0 : 1,
    reps: 0,
    heldSeconds: 0,
    hold: null,
    sets: [],
    skipped,
  });
  const done = (key: string, skipped: 'no time' | 'pain' | null): DayDone => ({
    lines: skipped ? [] : [{ lineage: 'a', shares: [1], beyondMost: 0 }],
    sessions: [
      {
        id: key,
        key,
        share: skipped ? 0 : 1,
        state: 'ended',
        version: 1,
        minute: 480,
        pain: null,
        effort: null,
        lines: [log(skipped)],
      },
    ],
  });
  const days = (count: number, of: (day: number) => Partial<DoingDay>): DoingDay[] =>
    Array.from({ length: count }, (_, day) => ({
      date: addDays(date, day),
      adherence: due(addDays(date, day), 0.5),
      done: { lines: [], sessions: [] },
      due: ['session-1', 'session-2'],
      lines: [{ lineage: 'a', times: 2 }],
      recalled: false,
      ...of(day),
    }));
  const facts = (all: DoingDay[]) => ({ doing: doingOver(all), minutes: 8, minutesADay: 10 });

  it('counts by exercise and by time of day, and says which time fails', () => {
    const all = days(10, () => ({ done: done('session-1', null) }));
    const doing = doingOver(all);
    expect(doing.times).toEqual([
      { key: 'session-1', due: 10, done: 10 },
      { key: 'session-2', due: 10, done: 0 },
    ]);
    expect(doing.lines).toEqual([{ lineage: 'a', due: 20, done: 10, skips: {} }]);
    expect(obstaclesOf(facts(all)).map(({ obstacle }) => obstacle)).toContain('one time of day');
  });

  it.each([
    ['no time', 'too long'],
    ['pain', 'pain'],
  ] as const)('reads “%s” as %s', (reason, obstacle) => {
    const all = days(6, () => ({ done: done('session-1', reason) }));
    const found = obstaclesOf(facts(all)).find((one) => one.obstacle === obstacle);
    expect(found?.say).toContain('6 times');
    expect(doingOver(all).skips).toEqual({ [reason]: 6 });
  });

  it('asks for nothing but restraint where adherence is good', () => {
    const all = days(8, (day) => ({ adherence: due(addDays(date, day), 0.95) }));
    expect(obstaclesOf(facts(all)).map(({ obstacle }) => obstacle)).toEqual(['over-doing']);
  });

  it('holds the day against the patient’s minutes first', () => {
    const all = days(8, () => ({}));
    const [first] = obstaclesOf({ ...facts(all), minutes: 15 });
    expect(first).toMatchObject({ obstacle: 'too long', say: '15 min a day asked, 10 min there' });
  });

  it('does not call today missed, and tells recalled days apart', () => {
    const [today] = days(1, () => ({
      adherence: { ...due(date, 0), isToday: true } as DayAdherence,
      recalled: true,
    }));
    const doing = doingOver(today ? [today] : []);
    expect(doing.times).toEqual([]);
    expect(doing.recalledDays).toBe(1);
  });
});
