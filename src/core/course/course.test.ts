import { good } from '../../../tests/support/step-cases';
import { type Dose, parseDose } from '../dose';
import { addDays, localDate } from '../units';
import {
  type Course,
  type SessionLog,
  type Stretch,
  asksAtLeast,
  asksLess,
  asksTheSame,
  compared,
  evidenceOf,
  goOn,
  happeningsIn,
  hasPassed,
  isWithin,
  lightOf,
  moreIn,
  onExerciseSince,
  presentOf,
  silentSince,
  whyNotGood,
  withSessions,
  worthOf,
} from '.';

const FIRST = localDate('2026-10-01');
const on = (day: number) => addDays(FIRST, day);
const dose = (line: string): Dose => {
  const read = parseDose(line);
  if (!read.ok) throw new Error(read.say);
  return read.value;
};
const log = (day: number, change: Partial<SessionLog> = {}): SessionLog => ({
  id: `s${day}`,
  date: on(day),
  ...good,
  ...change,
});
const stretch = (line: string, day: number, sessions: SessionLog[] = [], id = 'tuck'): Stretch => ({
  exercise: { id, name: id, ladder: 'front', rung: 1 },
  dose: dose(line),
  school: 'lengthen',
  from: on(day),
  by: 'a clinician',
  sessions,
});
const course = (sessions: SessionLog[], line = 'x10'): Course => [stretch(line, 0, sessions)];

describe('what a session is worth', () => {
  const worth = (change: Partial<SessionLog>, line = '10x10s') => [
    worthOf(log(0, change), dose(line)),
    whyNotGood(log(0, change), dose(line)),
  ];
  it.each<[Partial<SessionLog>, string, RegExp | null]>([
    [{}, 'good', null],
    [{ share: 0.99 }, 'not good', /99 % of it done on 1 Oct 2026/],
    [{ share: 1.25 }, 'good', null],
    [{ share: 1.26 }, 'not good', /126 % .* more than is written/],
    [{ effort: 7 }, 'good', null],
    [{ effort: 8 }, 'not good', /effort 8 of 10/],
    [{ pain: 5, nextMorning: 'settled' }, 'good', null],
    [{ pain: 6, nextMorning: 'settled' }, 'not good', /pain 6 of 10/],
    [{ nextMorning: 'some' }, 'not good', /trouble the morning after/],
    [{ nextMorning: null }, 'untold', null],
    [{ pain: null, effort: null }, 'untold', null],
    [{ skipped: 'away', share: 0 }, 'left out', null],
    [{ skipped: 'pain', share: 0 }, 'not good', /left out for pain/],
    [{ stopped: 'let go on' }, 'not good', /stopped on/],
  ])('%j is %s', (change, is, because) => {
    const [what, why] = worth(change);
    expect(what).toBe(is);
    if (because === null) expect(why).toBeNull();
    else expect(why).toMatch(because);
  });
  it('allows the most of a range before it is too much', () => {
    expect(worth({ share: 2 }, 'x5-10')[0]).toBe('good');
    expect(worth({ share: 2.6 }, 'x5-10')[0]).toBe('not good');
  });
});

// Traffic light during exercise (Thomeé 1997; memory): 0–2, up to 5, over 5.
it.each([
  [0, 'green'],
  [2, 'green'],
  [3, 'amber'],
  [5, 'amber'],
  [6, 'red'],
])('pain %d is %s', (pain, light) => expect(lightOf(pain)).toBe(light));

describe('what doses ask', () => {
  it.each([
    ['x10 hold 5s', 'x10 hold 10s', ['hold', 'work']],
    ['x10', 'x10 every other day', []],
    ['x10 every other day', 'x10', ['days']],
    ['x10', 'x10 2/day', ['times']],
    ['3x10 10kg', '3x10 22lb', []],
    ['3x10 10kg', '3x10 23lb', ['load']],
    ['2x10 band light', '2x10 band firm', ['band']],
    ['30s at 2 barriers', '30s at 3 barriers', ['work', 'stations']],
    ['10x10s 30%', '10x10s 40%', ['effort']],
    ['x5', 'x5-10', ['volume']],
  ])('%s → %s asks more in %j', (from, to, more) => {
    expect(moreIn(dose(to), dose(from))).toEqual(more);
  });
  it('holds and movements, and bands of different names, are not compared', () => {
    expect(compared(dose('x10 hold 3s'), dose('x5'), 'volume')).toBeNull();
    expect(compared(dose('x10 band "a"'), dose('x10 band "b"'), 'band')).toBeNull();
  });
  it('orders them', () => {
    expect(asksLess(dose('x8'), dose('x10'))).toBe(true);
    expect(asksLess(dose('x8 2/day'), dose('x10'))).toBe(false);
    expect(asksLess(dose('x10'), dose('x10'))).toBe(false);
    expect(asksAtLeast(dose('x10'), dose('x10'))).toBe(true);
    expect(asksAtLeast(dose('3x10-15s'), dose('3x15s'))).toBe(false);
    expect(isWithin(dose('x4'), dose('x3-5'))).toBe(true);
    expect(isWithin(dose('x6'), dose('x3-5'))).toBe(false);
    expect(asksTheSame(dose('x10 until review'), dose('x10 daily'))).toBe(true);
  });
});

describe('evidence', () => {
  it('is the row of good days up to the newest', () => {
    const found = evidenceOf(course([log(0), log(1, { share: 0.5 }), log(2), log(3)]), null);
    expect([found.goodDays, found.since, found.broken]).toEqual([
      2,
      on(2),
      '50 % of it done on 2 Oct 2026',
    ]);
  });
  it('is old after a fortnight without a session', () => {
    expect(evidenceOf(course([log(0), log(1), log(15)]), null).goodDays).toBe(3);
    expect(evidenceOf(course([log(0), log(1), log(16)]), null).goodDays).toBe(1);
  });
  it('is used up to and with the day of a decline', () => {
    expect(evidenceOf(course([log(0), log(1), log(2)]), on(1)).goodDays).toBe(1);
    expect(evidenceOf(course([log(0)]), on(1)).since).toBe(on(1));
  });
  it('says pain that rises by two points and never falls', () => {
    const pains = (...found: number[]) =>
      evidenceOf(course(found.map((pain, day) => log(day, { pain, nextMorning: 'none' }))), null)
        .rising;
    expect(pains(1, 2, 3)).toEqual([1, 2, 3]);
    expect(pains(1, 1, 2)).toEqual([]);
    expect(pains(1, 0, 3)).toEqual([]);
  });
  it('passes what went wrong by days that were borne, once and for good', () => {
    const after = (...changes: Partial<SessionLog>[]) =>
      hasPassed(
        course([log(0, { pain: 8 }), ...changes.map((one, i) => log(i + 1, one))]),
        on(0),
        3,
      );
    expect(after({}, {}, {})).toBe(true);
    expect(after({}, {})).toBe(false);
    expect(after({}, { pain: 6 }, {}, {})).toBe(false);
    expect(after({}, {}, {}, { pain: 9 })).toBe(true);
    expect(after({ nextMorning: null }, {}, {}, {})).toBe(true);
    expect(after({ nextMorning: null }, {}, {})).toBe(false);
  });
  it('is silent from the first session after anything was told', () => {
    const quiet = { pain: null, effort: null, nextMorning: null };
    const days = (from: number, to: number) =>
      Array.from({ length: to - from + 1 }, (_, i) => log(from + i, quiet));
    expect(silentSince(course([log(0), ...days(1, 15)]), on(15), null)).toBe(on(1));
    expect(silentSince(course([log(0), ...days(1, 14)]), on(14), null)).toBeNull();
    // Pain alone, without the morning after, cannot be judged either; trouble is told.
    const half = days(0, 15).map((one) => ({ ...one, pain: 1 }));
    expect(silentSince(course(half), on(15), null)).toBe(on(0));
    const sore = half.map((one, day) =>
      day === 9 ? { ...one, nextMorning: 'some' as const } : one,
    );
    expect(silentSince(course(sore), on(15), null)).toBeNull();
    expect(silentSince(course(days(0, 20)), on(20), on(5))).toBe(on(6));
  });
});

describe('what went wrong', () => {
  const kinds = (...changes: Partial<SessionLog>[]) =>
    happeningsIn(course(changes.map((one, day) => log(day, one)))).map(({ kind }) => kind);
  it.each<[string, Partial<SessionLog>[], string[]]>([
    ['nothing', [{}, {}], []],
    ['pain over five', [{ pain: 6 }], ['red light']],
    ['pain of five, settled', [{ pain: 5, nextMorning: 'settled' }], []],
    [
      'pain of three, not settled',
      [{ pain: 3, nextMorning: 'still sore' }],
      ['amber, not settled'],
    ],
    ['sore once', [{ nextMorning: 'still sore' }], []],
    [
      'sore twice running',
      [{ nextMorning: 'still sore' }, { nextMorning: 'some' }],
      ['sore again'],
    ],
    ['sore, well, sore', [{ nextMorning: 'some' }, {}, { nextMorning: 'some' }], []],
    ['a flare', [{ nextMorning: 'flare' }], ['flare']],
    [
      'a flare within six sessions of another',
      [{ nextMorning: 'flare' }, {}, {}, {}, {}, { nextMorning: 'flare' }],
      ['flare', 'second flare'],
    ],
    [
      'a flare after six',
      [{ nextMorning: 'flare' }, {}, {}, {}, {}, {}, { nextMorning: 'flare' }],
      ['flare', 'flare'],
    ],
    ['left out for pain once', [{ skipped: 'pain', share: 0, pain: null }], []],
    [
      'left out for pain twice of three',
      [{ skipped: 'pain', share: 0 }, {}, { skipped: 'pain', share: 0 }],
      ['left out for pain'],
    ],
    ['a stop, graver than its pain', [{ stopped: 'let go on', pain: 9 }], ['stopped']],
  ])('%s', (_, changes, found) => expect(kinds(...changes)).toEqual(found));

  it('is known by its session or its morning, a session of the day no second one', () => {
    const [both] = [
      [log(0, { nextMorning: 'flare' }), log(0, { id: 'evening', nextMorning: 'flare' })],
    ];
    expect(happeningsIn(course(both)).map(({ event }) => event)).toEqual([
      'morning after 2026-10-01',
    ]);
  });
});

it('a course goes on, and knows since when its exercise stands', () => {
  const one = course([log(0)]);
  const two = goOn(one, { ...stretch('x12', 5), exercise: one[0].exercise });
  const three = goOn(two, stretch('x5', 9, [], 'other'));
  expect(onExerciseSince(two)).toBe(on(0));
  expect(onExerciseSince(three)).toBe(on(9));
  expect(presentOf(withSessions(three, [log(9)])).sessions).toHaveLength(1);
  expect(withSessions(one, [log(1)])[0].sessions).toHaveLength(2);
});
