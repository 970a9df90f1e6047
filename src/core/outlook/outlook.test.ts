import { SHIPPED } from '@/catalogue';
import { readStrip } from '../follow';
import { type CountedSet, NO_REPORT, NOTHING_DONE, type SessionDone, withTarget } from '../history';
import { formatDose, parseDose } from '../dose';
import type { TaughtLine } from '../records';
import type { WallMinute, Zone } from '../schedule';
import { untaught } from '../teach';
import { addDays, localDate } from '../units';
import {
  type Decided,
  type FollowRecord,
  courseOf,
  deficitSince,
  improvedOn,
  limbWord,
  openFaults,
  standingDecisions,
  stripsOf,
  waitingIn,
} from '.';
import { decidedBefore } from './decided';

const TODAY = localDate('2026-11-25');
const on = (days: number) => addDays(TODAY, days);

function line(text: string, lineage = 'tuck') {
  const dose = parseDose(text);
  if (!dose.ok) throw new Error(dose.say);
  return {
    ...withTarget(
      { lineage, anchor: on(-30), dose: dose.value, mode: 'held', position: 'lying' },
      1,
    ),
    exerciseId: 'tuck-lying',
    exercise: {
      name: 'Tuck',
      position: 'lying' as const,
      mode: 'held' as const,
      steps: [],
      cues: [],
      props: [],
    },
    text,
    school: null,
    session: null,
    overrides: [],
    setUp: [],
  };
}
const version = (number: number, from: number, ...lines: ReturnType<typeof line>[]) => ({
  number,
  effectiveFrom: on(from),
  reviewOn: null,
  rounds: 1,
  programmeId: 'programme',
  reason: '',
  authorId: 'member',
  createdAt: 0,
  lines,
});
const session = (change: Partial<SessionDone> = {}): SessionDone => ({
  id: 'session',
  key: 'session-1',
  share: 1,
  state: 'ended',
  version: 1,
  minute: 540,
  pain: 2,
  effort: 4,
  lines: [
    { lineage: 'tuck', share: 1, reps: 10, heldSeconds: 100, hold: 10, sets: [10], skipped: null },
  ],
  ...change,
});

function record(change: Partial<FollowRecord['facts']> = {}): FollowRecord {
  return {
    facts: {
      today: TODAY,
      zone: 'Europe/Lisbon' as Zone,
      waking: { wake: 420 as WallMinute, sleep: 1320 as WallMinute },
      versions: [version(1, -20, line('10x10s'))],
      pauses: [],
      done: new Map(),
      ...change,
    },
    reports: new Map([[on(-1), { ...NO_REPORT, soreness: 'still sore' }]]),
    precautions: [],
    screenedOn: null,
    home: null,
    faults: new Map(),
    decisions: [],
    deficitSince: null,
    episodeFrom: null,
    improved: new Map(),
    stepSlides: false,
  };
}

const courseIn = (
  change: Partial<FollowRecord['facts']>,
  now = line('10x10s'),
  more: Partial<FollowRecord> = {},
) => courseOf({ ...record(change), ...more }, now, SHIPPED.byId);

describe('the course of a line', () => {
  const now = line('10x10s');
  const doses = (found: ReturnType<typeof courseIn>) =>
    found.course.map(({ dose, from, exercise }) => [exercise.id, formatDose(dose), from]);

  it('is every dose it had, and one that only ends on another day is the same', () => {
    const versions = [
      version(1, -20, line('10x10s')),
      version(2, -15, line('5x10s')),
      version(3, -10, now),
      version(4, -5, line('10x10s until review'), line('x10', 'other')),
    ];
    expect(doses(courseIn({ versions }, line('10x10s until review')))).toEqual([
      ['tuck-lying', '10x10s', on(-20)],
      ['tuck-lying', '5x10s', on(-15)],
      ['tuck-lying', '10x10s until review', on(-10)],
    ]);
  });

  it('goes on through a step of its stairs, and not into another exercise', () => {
    const step = { ...line('x10 hold 3s', 'lighten'), exerciseId: 'tuck-lighten' };
    const versions = [
      version(1, -20, line('10x10s'), line('x10', 'other')),
      version(2, -5, step, line('x10', 'other')),
    ];
    const found = courseIn({ versions }, step);
    expect(doses(found)).toEqual([
      ['tuck-lying', '10x10s', on(-20)],
      ['tuck-lighten', 'x10 hold 3s', on(-5)],
    ]);
    expect([...found.lineages]).toEqual(['tuck', 'lighten']);
    const row = { ...line('x10', 'row'), exerciseId: 'band-row' };
    expect(doses(courseIn({ versions: [version(1, -20, now), version(2, -5, row)] }, row))).toEqual(
      [['band-row', 'x10', on(-5)]],
    );
  });

  it('is remembered where the line was left out for a while and written anew', () => {
    const again = line('10x5s', 'anew');
    const versions = [
      version(1, -20, line('10x10s'), line('x10', 'other')),
      version(2, -10, line('x10', 'other')),
      version(3, -5, again, line('x10', 'other')),
    ];
    expect(doses(courseIn({ versions }, again))).toEqual([
      ['tuck-lying', '10x10s', on(-20)],
      ['tuck-lying', '10x5s', on(-5)],
    ]);
    // A line that still stands is nobody else's past.
    const both = [version(1, -20, line('10x10s')), version(2, -5, line('10x10s'), again)];
    expect(doses(courseIn({ versions: both }, again))).toEqual([['tuck-lying', '10x5s', on(-5)]]);
  });

  it('begins with the episode', () => {
    const versions = [version(1, -60, line('5x10s')), version(2, -20, now)];
    expect(doses(courseIn({ versions }, now, { episodeFrom: on(-30) }))).toHaveLength(1);
    expect(doses(courseIn({ versions }, now))).toHaveLength(2);
  });

  it('knows a dose that was proposed and accepted from one that a clinician wrote', () => {
    const versions = [version(1, -20, line('10x5s')), version(2, -10, now)];
    const by = (change: Partial<Decided>) =>
      courseIn({ versions }, now, { decisions: [{ ...decision, ...change }] }).course.map(
        (one) => one.by,
      );
    const decision: Decided = {
      key: 'k',
      lineage: 'tuck',
      version: 1,
      decision: 'accepted',
      move: 'advance hold',
      event: 'good since',
      toDose: '10x10s',
      toExerciseId: null,
      localDate: on(-10),
    };
    expect(by({})).toEqual(['a clinician', 'a proposal']);
    expect(by({ decision: 'edited' })[1]).toBe('a clinician');
    expect(by({ toDose: '10x7s' })[1]).toBe('a clinician');
    expect(by({ version: 2 })[1]).toBe('a clinician');
  });
});

describe('a line’s sessions', () => {
  const logs = (change: Partial<FollowRecord['facts']>) =>
    courseIn(change).course.flatMap(({ sessions }) => sessions);
  it('belong to the dose of the version they were played from, each with its next morning', () => {
    const versions = [version(1, -20, line('10x5s')), version(2, -3, line('10x10s'))];
    const done = new Map([
      [on(-2), { ...NOTHING_DONE, sessions: [session({ pain: 5, version: 2 })] }],
      // Told late, of the dose before.
      [on(-1), { ...NOTHING_DONE, sessions: [session({ pain: 7, version: 1 })] }],
      [on(-4), { ...NOTHING_DONE, sessions: [session({ pain: 1, version: 1 })] }],
    ]);
    const found = courseIn({ versions, done }).course.map(({ sessions }) =>
      sessions.map(({ date, pain, nextMorning }) => [date, pain, nextMorning]),
    );
    expect(found).toEqual([
      [
        [on(-4), 1, null],
        [on(-1), 7, null],
      ],
      [[on(-2), 5, 'still sore']],
    ]);
  });
  it('tell a stop that stands from one that was let go on', () => {
    const stopped = session({ state: 'stopped for a symptom' });
    const done = new Map([[on(-1), { ...NOTHING_DONE, sessions: [stopped, session()] }]]);
    const kinds = (to: ReturnType<typeof on> | null) =>
      logs({ done, pauses: [{ from: on(0), to }] }).map((log) => log.stopped);
    expect(kinds(null)).toEqual(['stands', 'no']);
    expect(kinds(on(1))).toEqual(['let go on', 'no']);
  });
});

describe('what the limbs do, in a word', () => {
  const verdict = (course: 'spreading' | 'no clear change', better = false) =>
    ({ course, better }) as Parameters<typeof limbWord>[0][number];
  it('is the worst of them, a growing deficit before all', () => {
    expect(limbWord([verdict('no clear change', true)], true)).toBe('deficit grows');
    expect(limbWord([verdict('no clear change', true), verdict('spreading')], false)).toBe(
      'spreading',
    );
    expect(limbWord([verdict('no clear change', true)], false)).toBe('drawing in');
    expect(limbWord([verdict('no clear change')], false)).toBe('no clear change');
    expect(limbWord([], false)).toBeNull();
  });
});

describe('a deficit', () => {
  const exam = (strength: number) =>
    ({
      form: 'nerve',
      tension: [],
      levels: [{ level: 'C7', side: 'right', strength, feeling: null, reflex: null }],
    }) as const;
  it('grows only between two examinations, the newest standing first', () => {
    const since = (...bodies: (ReturnType<typeof exam> | null)[]) =>
      deficitSince(bodies.map((body, ago) => ({ on: on(-ago), body })));
    expect(since(exam(4), exam(5))).toBe(on(0));
    expect(since(exam(5), exam(4))).toBeNull();
    expect(since(exam(3))).toBeNull();
    expect(since(exam(4), null, exam(5))).toBe(on(0));
    expect(since()).toBeNull();
  });
});

it('a measured maximum has improved when it grew by more than its error, or by a quarter', () => {
  const values = (...found: number[]) => found.map((value, ago) => ({ on: on(-ago), value }));
  expect(improvedOn('strength-back', values(126, 100))).toBe(on(0));
  expect(improvedOn('strength-back', values(101, 100))).toBeNull();
  expect(improvedOn('strength-back', values(100, 126, 100))).toBe(on(-1));
  expect(improvedOn('strength-back', values(100))).toBeNull();
});

it('counts the faults nobody has put right', () => {
  const taught = (lineage: string, ...fixes: string[]): TaughtLine => ({
    ...untaught(lineage),
    faults: fixes.map((fix) => ({ fault: 'chin pokes', fix })),
  });
  expect([...openFaults([taught('a', '', 'tuck', ''), taught('b')])]).toEqual([
    ['a', 2],
    ['b', 0],
  ]);
});

describe('decisions', () => {
  const said = (key: string, word: Decided['decision'], more: Partial<Decided> = {}): Decided => ({
    key,
    lineage: `line of ${key}`,
    version: 2,
    decision: word,
    move: 'advance hold',
    event: null,
    toDose: 'x10',
    toExerciseId: null,
    localDate: TODAY,
    ...more,
  });
  it('stand by their last word for the version they are about', () => {
    const decisions = [
      said('a', 'taken back'),
      said('a', 'accepted'),
      said('b', 'declined'),
      said('c', 'accepted'),
      { ...said('d', 'accepted'), version: 1 },
    ];
    expect(standingDecisions(decisions, 2).map(({ key }) => key)).toEqual(['b', 'c']);
    expect(waitingIn({ decisions }, 2).map(({ key }) => key)).toEqual(['c']);
  });
  it('wait for no version where they change no dose', () => {
    const rest = said('rest', 'accepted', { move: 'rest day', toDose: null });
    const stop = said('stop', 'accepted', { move: 'stop', toDose: null });
    expect(waitingIn({ decisions: [rest, stop] }, 2).map(({ key }) => key)).toEqual(['stop']);
  });
  it('wait by a line’s newest word alone', () => {
    const newer = { ...said('newer', 'declined'), lineage: 'same' };
    const older = { ...said('older', 'edited'), lineage: 'same' };
    expect(waitingIn({ decisions: [newer, older] }, 2)).toEqual([]);
    expect(waitingIn({ decisions: [older, newer] }, 2).map(({ key }) => key)).toEqual(['older']);
  });
});

describe('what was decided before', () => {
  const course = courseIn({
    done: new Map([
      [on(-3), { ...NOTHING_DONE, sessions: [session({ pain: 8 })] }],
      [on(-1), { ...NOTHING_DONE, sessions: [session({ id: 'later', pain: 9 })] }],
    ]),
  }).course;
  const word = (more: Partial<Decided>): Decided => ({
    key: 'k',
    lineage: 'tuck',
    version: 1,
    decision: 'declined',
    move: 'step back',
    event: 'session session',
    toDose: null,
    toExerciseId: null,
    localDate: on(-2),
    ...more,
  });
  const before = (...words: Decided[]) => decidedBefore(words, new Set(['tuck']), course);

  it('is what had happened, and nothing that came after it', () => {
    expect([...before(word({})).events]).toEqual(['session session']);
    expect([...before(word({ decision: 'taken back' }), word({})).events]).toEqual([]);
    expect([...before(word({ lineage: 'other' })).events]).toEqual([]);
  });
  it('of one from before events were kept, what happened before its day', () => {
    expect([...before(word({ event: null })).events]).toEqual(['session session']);
    expect([...before(word({ event: null, localDate: on(-3) })).events]).toEqual([]);
    expect([...before(word({ event: null, localDate: TODAY })).events]).toHaveLength(2);
  });
  it('of growth declined and questions asked, the day', () => {
    expect(before(word({ move: 'advance hold', event: 'e' }))).toMatchObject({
      declinedOn: on(-2),
      askedOn: null,
    });
    expect(before(word({ move: 'ask', decision: 'accepted', event: 'e' }))).toMatchObject({
      declinedOn: null,
      askedOn: on(-2),
    });
  });
});

describe('strips', () => {
  const strips = (measures: Parameters<typeof stripsOf>[2] = []) => {
    const done = new Map([[on(-1), { ...NOTHING_DONE, sessions: [session()] }]]);
    return stripsOf(record({ done }), [], measures, on(-10));
  };
  it('are there only where something happened', () => {
    expect(strips().map(({ id }) => id)).toEqual(['dose', 'times', 'soreness', 'line-tuck']);
  });
  describe('of a line', () => {
    const log = { lineage: 'tuck', share: 1, reps: 10, heldSeconds: 0, hold: null, skipped: null };
    const of = (text: string, ...days: readonly (readonly CountedSet[] | undefined)[]) =>
      stripsOf(
        record({
          versions: [version(1, -20, line(text))],
          done: new Map(
            days.map((counted, index) => [
              on(index - days.length),
              {
                ...NOTHING_DONE,
                sessions: [session({ lines: [{ ...log, sets: [10], counted }] })],
              },
            ]),
          ),
        }),
        [],
        [],
        on(-10),
      ).filter(({ kind }) => kind === 'line');
    const set = (number: number, reps: number | null, kilos: number | null = null): CountedSet => ({
      set: number,
      reps,
      load: kilos === null ? null : { amount: kilos, unit: 'kg' },
    });

    it('is what was lifted and what was counted, as it was told', () => {
      const found = of('3x8-12 5kg', [set(1, 10, 5), set(2, 9, 7.5), set(3, 8, 7.5)], undefined, [
        set(1, 12, 10),
        set(2, null),
      ]);
      expect(found.map(({ id, name }) => [id, name])).toEqual([
        ['lifted-tuck', 'Tuck, lifted'],
        ['counted-tuck', 'Tuck, counted'],
      ]);
      expect(found[0]).toMatchObject({
        unit: 'kg lifted',
        points: [
          { date: on(-3), value: 7.5 },
          { date: on(-1), value: 10 },
        ],
      });
      const [, counted] = found;
      expect(counted && readStrip(counted, on(-3))).toBe('10 + 9 + 8 repetitions');
      expect(counted && readStrip(counted, on(-2))).toBe('');
      expect(counted && readStrip(counted, on(-1))).toBe('12 repetitions');
    });

    it('is the written weight, and says so, where nobody told what they lifted', () => {
      expect(of('3x10 5kg', undefined, undefined)).toMatchObject([
        {
          id: 'line-tuck',
          name: 'Tuck, as written',
          unit: 'kg',
          points: [{ value: 5 }, { value: 5 }],
        },
      ]);
    });
  });

  it('draw a measure taken more than once, oldest first', () => {
    const turn = (days: number, value: number) =>
      ({ kind: 'neck-turn', side: 'left', value, on: on(days) }) as const;
    const found = strips([turn(-1, 70), turn(-5, 60), turn(-11, 50)]).find(
      ({ id }) => id === 'measure-neck-turn-left',
    );
    expect(found).toMatchObject({
      unit: '°',
      points: [
        { date: on(-5), value: 60 },
        { date: on(-1), value: 70 },
      ],
    });
    expect(strips([turn(-1, 70)]).some(({ id }) => id.startsWith('measure'))).toBe(false);
  });
});
