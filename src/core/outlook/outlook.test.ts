import { readStrip } from '../follow';
import { type CountedSet, NO_REPORT, NOTHING_DONE, type SessionDone, withTarget } from '../history';
import { parseDose } from '../dose';
import type { TaughtLine } from '../records';
import type { WallMinute, Zone } from '../schedule';
import { untaught } from '../teach';
import { addDays, localDate } from '../units';
import {
  type FollowRecord,
  deficitGrows,
  limbWord,
  logsOf,
  openFaults,
  sameSince,
  standingDecisions,
  stripsOf,
  waitingIn,
} from '.';

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
    deficitGrows: false,
    stepSlides: false,
  };
}

describe('since when a line has been as it is', () => {
  const now = line('10x10s');
  it('goes back through versions that left it so, not beyond a change', () => {
    const versions = [
      version(1, -20, line('10x10s')),
      version(2, -15, line('5x10s')),
      version(3, -10, now),
      version(4, -5, now, line('x10', 'other')),
    ];
    expect(sameSince({ versions }, now)).toBe(on(-10));
  });
  it('skips versions it was not in before it came, and is null where it never stood', () => {
    const versions = [version(1, -20, now), version(2, -5, line('x10', 'other'))];
    expect(sameSince({ versions }, now)).toBe(on(-20));
    expect(sameSince({ versions }, line('3x10s'))).toBeNull();
  });
});

describe('a line’s sessions', () => {
  const logs = (change: Partial<FollowRecord['facts']>) => logsOf(record(change), line('10x10s'));
  it('are those under its present dose, oldest first, each with its next morning', () => {
    const done = new Map([
      [on(-2), { ...NOTHING_DONE, sessions: [session({ pain: 5 })] }],
      [on(-4), { ...NOTHING_DONE, sessions: [session({ pain: 1 })] }],
      [on(-21), { ...NOTHING_DONE, sessions: [session()] }],
    ]);
    expect(logs({ done }).map(({ date, pain, nextMorning }) => [date, pain, nextMorning])).toEqual([
      [on(-4), 1, null],
      [on(-2), 5, 'still sore'],
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
    expect(deficitGrows([exam(4), exam(5)])).toBe(true);
    expect(deficitGrows([exam(5), exam(4)])).toBe(false);
    expect(deficitGrows([exam(3)])).toBe(false);
    expect(deficitGrows([exam(4), null, exam(5)])).toBe(true);
    expect(deficitGrows([])).toBe(false);
  });
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
  const said = (key: string, decision: 'accepted' | 'declined' | 'taken back' | 'edited') => ({
    key,
    lineage: `line of ${key}`,
    version: 2,
    decision,
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
  it('wait by a line’s newest word alone', () => {
    const newer = { ...said('newer', 'declined'), lineage: 'same' };
    const older = { ...said('older', 'edited'), lineage: 'same' };
    expect(waitingIn({ decisions: [newer, older] }, 2)).toEqual([]);
    expect(waitingIn({ decisions: [older, newer] }, 2).map(({ key }) => key)).toEqual(['older']);
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
