import { SHIPPED } from '@/catalogue';
import { type DayReport, NO_REPORT } from '../history';
import { sentVersion } from '../programme';
import { localDate } from '../units';
import { type OneGotOn, gotOn, oneGotOn } from '.';

/** How patients got on with an exercise: counted from sessions, silent of a few. */
const ONE: OneGotOn = {
  now: 'has it',
  sessions: { good: 6, untold: 2, 'not good': 2, 'left out': 1 },
  leftForPain: 1,
  pains: 8,
  red: 1,
  mornings: 6,
  troubled: 1,
  stopped: 0,
};

describe('together', () => {
  it('says nothing of fewer than five', () => {
    expect(gotOn([ONE, ONE, ONE, ONE])).toEqual({ kind: 'too few' });
    expect(gotOn([])).toEqual({ kind: 'too few' });
  });

  it('adds up, and gives each share what it is a share of', () => {
    const found = gotOn([
      ONE,
      ONE,
      ONE,
      { ...ONE, now: 'no more' },
      { ...ONE, now: 'a harder step' },
    ]);
    expect(found).toMatchObject({
      patients: 5,
      now: { 'has it': 3, 'a harder step': 1, 'an easier step': 0, 'no more': 1 },
      sessions: 50,
      untold: 10,
      leftOut: 5,
      leftForPain: 5,
      good: { share: 0.75, of: 40 },
      red: { share: 0.125, of: 40 },
    });
  });

  it('does not take silence for good news', () => {
    const silent = {
      ...ONE,
      sessions: { good: 0, untold: 10, 'not good': 0, 'left out': 0 },
      mornings: 0,
      troubled: 0,
    };
    expect(gotOn([silent, silent, silent, silent, silent])).toMatchObject({
      good: null,
      troubled: null,
    });
  });
});

describe('one patient', () => {
  const today = localDate('2026-03-20');
  const days = ['2026-03-02', '2026-03-03', '2025-11-01'].map(localDate);
  const exercise = SHIPPED.byId('tuck-lying');
  if (!exercise) throw new Error('the catalogue has changed');
  const version = (number: number, ids: readonly string[]) =>
    sentVersion({
      version: {
        number,
        effectiveFrom: localDate('2025-10-01'),
        reviewOn: null,
        rounds: 1,
        reason: '',
        grammar: 1,
        authorId: 'a',
        createdAt: 0,
      } as never,
      lines: ids.map((id, place) => ({
        place,
        lineage: id,
        anchor: localDate('2025-10-01'),
        exerciseId: id,
        exercise,
        dose: '10x10s gap 5s daily',
        school: null,
        session: null,
        overrides: [],
        setUp: [],
      })) as never,
    });
  const done = new Map(
    days.map((date, at) => [
      date,
      {
        lines: [],
        sessions: [
          {
            id: `s${at}`,
            key: 'k',
            share: 1,
            state: 'ended' as const,
            version: 1,
            minute: 0,
            pain: at === 0 ? 1 : 7,
            effort: null,
            lines: [
              {
                lineage: 'tuck-lying',
                share: 1,
                reps: 10,
                heldSeconds: 100,
                hold: 10,
                sets: [10],
                skipped: null,
              },
            ],
          },
        ],
      },
    ]),
  );
  const reports = new Map<ReturnType<typeof localDate>, DayReport>([
    [localDate('2026-03-03'), { ...NO_REPORT, soreness: 'none' }],
  ]);
  const facts = (newest: readonly string[]) => ({
    facts: {
      today,
      versions: [version(1, ['tuck-lying']), version(2, newest)],
      pauses: [],
      done,
    } as never,
    reports,
  });

  it('counts the sessions of the last weeks, and their mornings', () => {
    expect(oneGotOn(facts(['tuck-lying']), 'tuck-lying', SHIPPED.byId)).toEqual({
      now: 'has it',
      sessions: { good: 1, untold: 0, 'not good': 1, 'left out': 0 },
      leftForPain: 0,
      pains: 2,
      red: 1,
      mornings: 1,
      troubled: 0,
      stopped: 0,
    });
  });

  it('counts as left for pain what was not done whole, and nothing that was', () => {
    const leftAt = (share: number) => {
      const given = facts(['tuck-lying']);
      const { sessions } = done.get(localDate('2026-03-03')) ?? { sessions: [] };
      const [session] = sessions;
      const [line] = session?.lines ?? [];
      if (!session || !line) throw new Error('the case has changed');
      const left = { ...session, share, lines: [{ ...line, share, skipped: 'pain' as const }] };
      const days = new Map([[localDate('2026-03-03'), { lines: [], sessions: [left] }]]);
      const record = { ...given, facts: { ...(given.facts as object), done: days } as never };
      return oneGotOn(record, 'tuck-lying', SHIPPED.byId)?.leftForPain;
    };
    expect([0, 0.5, 1].map(leftAt)).toEqual([1, 1, 0]);
  });

  it('knows whether another step of its stairs took its place', () => {
    const now = (ids: readonly string[]) => oneGotOn(facts(ids), 'tuck-lying', SHIPPED.byId)?.now;
    expect(now(['tuck-lighten'])).toBe('a harder step');
    expect(now(['nod-on-ball'])).toBe('an easier step');
    expect(now(['bridge'])).toBe('no more');
  });

  it('is nothing to who never had it', () => {
    expect(oneGotOn(facts([]), 'bridge', SHIPPED.byId)).toBeNull();
  });
});
