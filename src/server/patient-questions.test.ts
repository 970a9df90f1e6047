import { NO_REPORT } from '@/core/history';
import { localDate } from '@/core/units';
import { type Asked, questionsFor } from './patient-questions';
import type { PatientFacts } from './programme-facts';

const TODAY = localDate('2026-11-25');
const DAYS = ['2026-11-22', '2026-11-23', '2026-11-24', '2026-11-25'].map(localDate);
const NOTHING: Asked = { measures: [], history: null, goals: [], photo: false, decisions: [] };

type Report = Partial<typeof NO_REPORT>;

/** Facts of a patient who told so on the days up to today, and did so many sessions yesterday. */
function facts(reports: readonly Report[], sessionsYesterday = 0): PatientFacts {
  const from = DAYS.length - reports.length;
  return {
    versions: [],
    today: TODAY,
    doneRows: reports.map((report, i) => ({
      localDate: DAYS[from + i],
      report: { ...NO_REPORT, ...report },
    })),
    done: new Map([
      [localDate('2026-11-24'), { sessions: Array.from({ length: sessionsYesterday }) }],
    ]),
  } as unknown as PatientFacts;
}
const asked = (reports: readonly Report[], more: Partial<Asked> = {}, sessions = 0) =>
  questionsFor(facts(reports, sessions), { ...NOTHING, ...more }, TODAY);

describe('what is usual', () => {
  it('is the middle of three days or more; of fewer, what the history says', () => {
    expect(asked([{ worst: 9 }, { worst: 2 }, { worst: 4 }]).baseline.worst).toBe(4);
    expect(asked([{ worst: 9 }, { worst: 2 }]).baseline.worst).toBeNull();
    const history = { irritability: { worst: 6 } } as Asked['history'];
    expect(asked([{ worst: 9 }, { worst: 2 }], { history }).baseline.worst).toBe(6);
    expect(asked([{ worst: 1 }, { worst: 2 }, { worst: 8 }, { worst: 3 }]).baseline.worst).toBe(3);
  });

  it('knows the headache that was counted, and none that was counted as none', () => {
    const days = (value: number) =>
      asked([], { measures: [{ kind: 'headache-days', value }] as unknown as Asked['measures'] });
    expect(days(0).questions.headache).toBe(false);
    expect(days(1)).toMatchObject({
      questions: { headache: true },
      baseline: { known: ['headache'] },
    });
  });
});

describe('what is asked today', () => {
  it('is the morning after one session, until it was told', () => {
    expect(asked([], {}, 0).questions.morning).toBe(false);
    expect(asked([], {}, 1).questions.morning).toBe(true);
    expect(asked([{ soreness: 'none' }], {}, 1).questions.morning).toBe(false);
  });

  it('is the morning after the last sessions, up to three days ago, and no other day', () => {
    const of = (reports: readonly Report[], sessionsOn: readonly string[]) => {
      const given = {
        ...facts(reports),
        done: new Map(sessionsOn.map((date) => [localDate(date), { sessions: [{}] }])),
      } as unknown as PatientFacts;
      return questionsFor(given, NOTHING, TODAY).questions.morningOf;
    };
    expect(of([], ['2026-11-24'])).toBe('2026-11-24');
    expect(of([], ['2026-11-22', '2026-11-23'])).toBe('2026-11-23');
    expect(of([], ['2026-11-21'])).toBeNull();
    expect(of([], ['2026-11-25'])).toBeNull();
    // Told on the morning after, it is not asked again.
    expect(of([{ soreness: 'some' }, {}], ['2026-11-23'])).toBeNull();
    expect(of([{}, { soreness: 'none' }], ['2026-11-23'])).toBe('2026-11-23');
  });

  it('is what the clinic lacks, until it was told, for a fortnight', () => {
    const asks = (reports: readonly Report[], change: object = {}) => {
      const decision = {
        move: 'ask',
        decision: 'accepted',
        asks: 'how it goes',
        lineage: 'tuck',
        localDate: localDate('2026-11-23'),
        ...change,
      };
      const given = {
        ...facts(reports),
        versions: [{ lines: [{ lineage: 'tuck', exercise: { name: 'Tuck' } }] }],
      } as unknown as PatientFacts;
      const decisions = [decision] as unknown as Asked['decisions'];
      return questionsFor(given, { ...NOTHING, decisions }, TODAY).questions.asks;
    };
    expect(asks([])).toEqual([{ what: 'how it goes', line: 'Tuck' }]);
    expect(asks([{ pains: [2] }, { soreness: 'none' }])).toEqual([]);
    expect(asks([{ pains: [2] }])).toHaveLength(1);
    expect(asks([{ soreness: 'none' }])).toHaveLength(1);
    expect(asks([{ notes: ['x'] }])).toHaveLength(1);
    expect(asks([], { decision: 'declined' })).toEqual([]);
    expect(asks([], { asks: 'weights' })).toEqual([]);
    expect(asks([], { lineage: 'gone' })).toEqual([]);
    expect(asks([], { localDate: localDate('2026-11-11') })).toHaveLength(1);
    expect(asks([], { localDate: localDate('2026-11-10') })).toEqual([]);
    expect(asks([{ pains: [2] }], { asks: 'repetitions' })).toHaveLength(1);
  });

  it('is the numbers of a set until they were counted', () => {
    const asks = (
      what: 'repetitions' | 'ten-rep maximum',
      set: object | null,
      lineage = 'tuck',
    ) => {
      const day = localDate('2026-11-24');
      const lines = [{ lineage, counted: set && [set] }];
      const given = {
        ...facts([{}, {}]),
        versions: [{ lines: [{ lineage: 'tuck', exercise: { name: 'Tuck' } }] }],
        done: new Map([[day, { sessions: [{ lines }] }]]),
      } as unknown as PatientFacts;
      const decision = {
        move: 'ask',
        decision: 'accepted',
        asks: what,
        lineage: 'tuck',
        localDate: localDate('2026-11-23'),
      };
      const decisions = [decision] as unknown as Asked['decisions'];
      return questionsFor(given, { ...NOTHING, decisions }, TODAY).questions.asks?.length ?? 0;
    };
    const load = { amount: 5, unit: 'kg' };
    expect(asks('repetitions', null)).toBe(1);
    expect(asks('repetitions', { reps: 8, load: null })).toBe(0);
    expect(asks('repetitions', { reps: null, load })).toBe(1);
    expect(asks('ten-rep maximum', { reps: 8, load: null })).toBe(1);
    expect(asks('ten-rep maximum', { reps: null, load })).toBe(1);
    expect(asks('ten-rep maximum', { reps: 8, load })).toBe(0);
    // Of another line nothing is an answer.
    expect(asks('ten-rep maximum', { reps: 8, load }, 'row')).toBe(1);
  });

  it('is the day until it was told', () => {
    expect(asked([]).questions.daily).toBe(true);
    expect(asked([{ worst: 0 }]).questions.daily).toBe(false);
  });

  it('is at most five open goals, once a week', () => {
    const goals = Array.from({ length: 7 }, (_, i) => ({
      activity: `goal ${i}`,
      reachedOn: i === 1 ? TODAY : null,
    })) as unknown as Asked['goals'];
    expect(asked([], { goals }).questions.activities).toEqual([
      'goal 0',
      'goal 2',
      'goal 3',
      'goal 4',
      'goal 5',
    ]);
    const scored = [{ activities: [{ activity: 'goal 0', score: 4 }] }] as const;
    expect(asked(scored as unknown as Report[], { goals }).questions.activities).toEqual([]);
  });
});
