import { line, on, session, version } from '../../../tests/support/follow-record';
import { type DayDone, type DayReport, NO_REPORT } from '../history';
import { adherenceHistory } from '../history';
import type { WallMinute, Zone } from '../schedule';
import { randomLcg, randomNormal } from 'd3';
import type { LocalDate } from '../units';
import { type EpisodeRecord, episodeFacts } from './facts';
import { leavingOf } from './leaving';

const waking = { wake: 420 as WallMinute, sleep: 1320 as WallMinute };
const done = (...days: (readonly [number, Partial<ReturnType<typeof session>>?])[]) =>
  new Map<LocalDate, DayDone>(
    days.map(([day, change]) => [on(day), { lines: [], sessions: [session(change)] }]),
  );
const reports = (...days: (readonly [number, Partial<DayReport>])[]) =>
  new Map<LocalDate, DayReport>(days.map(([day, told]) => [on(day), { ...NO_REPORT, ...told }]));

const record = (change: Partial<EpisodeRecord> & { done?: Map<LocalDate, DayDone> } = {}) =>
  ({
    area: 'neck',
    openedOn: on(-60),
    closedOn: null,
    until: on(-1),
    facts: {
      zone: 'Europe/Lisbon' as Zone,
      waking,
      today: on(0),
      versions: [version(1, -56, line('10x10s gap 5s daily'))],
      pauses: [],
      done: change.done ?? done([-56], [-55], [-2]),
    },
    reports: reports(),
    decisions: [],
    ...change,
  }) as EpisodeRecord;
const facts = (change: Parameters<typeof record>[0] = {}) => {
  const found = episodeFacts(record(change), () => 7);
  if (!found) throw new Error('a programme had begun');
  return found;
};

describe('beside another complaint', () => {
  const beside = (counted: ReadonlySet<string>) => {
    const one = record();
    const versions = [
      version(1, -56, line('10x10s daily', 'back')),
      version(2, -40, line('10x10s daily', 'back'), line('3x30s daily', 'neck')),
    ];
    return { ...one, facts: { ...one.facts, versions, counted } };
  };

  it('is asked of the first version with a line of its own, and of that line alone', () => {
    const asked: string[][] = [];
    const found = episodeFacts(beside(new Set(['neck'])), ({ lines }) => {
      asked.push(lines.map(({ lineage }) => lineage));
      return 4;
    });
    expect(found?.minutes).toBe(4);
    expect(asked).toEqual([['neck']]);
  });

  it('tells nothing where no line is its own', () => {
    expect(episodeFacts(beside(new Set()), () => 4)).toBeNull();
  });
});

describe('how it ended', () => {
  const ending = (change: Parameters<typeof record>[0]) => {
    const { ending: one, week, lastTold } = facts(change);
    return [one, week, lastTold];
  };

  it('goes on while something was done within a fortnight of due days', () => {
    expect(ending({})).toEqual(['going on', 8, null]);
    expect(ending({ closedOn: on(-1) })).toEqual(['finished', 8, null]);
  });

  it('was left after a fortnight without a session, closed or not, in the week of the last one', () => {
    expect(ending({ done: done([-56], [-40]) })).toEqual(['left', 3, 'nothing of these']);
    expect(ending({ done: done([-56], [-40]), closedOn: on(-2) })[0]).toBe('left');
    // A week is its first to its seventh day.
    expect(ending({ done: done([-56], [-50]) })[1]).toBe(1);
    expect(ending({ done: done([-56], [-49]) })[1]).toBe(2);
    // Thirteen days without are not yet a fortnight.
    expect(ending({ done: done([-56], [-14]) })[0]).toBe('going on');
    expect(ending({ done: done([-56], [-15]) })[0]).toBe('left');
  });

  it('was never begun where nothing was ever done', () => {
    expect(ending({ done: done() })).toEqual(['never begun', null, null]);
    expect(ending({ done: done([-56, { share: 0 }]) })[0]).toBe('never begun');
  });

  it('a pause asks nothing', () => {
    const paused = record({ done: done([-56], [-40]) });
    const days = adherenceHistory(
      { ...paused.facts, pauses: [{ from: on(-38), to: null }] },
      on(-56),
      on(-1),
    );
    expect(leavingOf(days, paused.facts.done, new Map(), false).ending).toBe('going on');
  });

  it('says what was told last, the gravest first', () => {
    const last = (change: Parameters<typeof session>[0], told: ReturnType<typeof reports>) =>
      ending({ done: done([-56], [-40, change]), reports: told })[2];
    expect(last({ state: 'stopped for a symptom', pain: 9 }, reports())).toBe(
      'ended for a symptom',
    );
    expect(last({ pain: 6 }, reports())).toBe('pain over 5');
    expect(last({ pain: 5 }, reports([-39, { worst: 8 }]))).toBe('pain over 5');
    expect(last({ pain: 1 }, reports([-39, { soreness: 'still sore' }]))).toBe(
      'trouble next morning',
    );
    const [log] = session().lines;
    expect(
      last(
        { pain: null, lines: [{ ...(log as never as object), skipped: 'no time' } as never] },
        reports(),
      ),
    ).toBe('no time');
  });
});

describe('what an episode tells', () => {
  it('is nothing before a programme begins, and of no other episode', () => {
    expect(episodeFacts(record({ until: on(-57) }), () => 7)).toBeNull();
    expect(episodeFacts(record({ openedOn: on(-10) }), () => 7)).toBeNull();
    expect(episodeFacts(record({ closedOn: on(-57) }), () => 7)).toBeNull();
  });

  it('is of a programme too that begins on its first day, or on its last', () => {
    const told = (change: Partial<EpisodeRecord>) => episodeFacts(record(change), () => 7)?.minutes;
    expect(told({ openedOn: on(-56) })).toBe(7);
    expect(told({ until: on(-56) })).toBe(7);
    expect(told({ closedOn: on(-56) })).toBe(7);
  });

  it('counts sessions, flares and stops by exercise', () => {
    const days = done(
      [-56, { pain: 6 }],
      [-55, { pain: 1 }],
      [-54, { pain: null, state: 'stopped for a symptom' }],
      [-53, { pain: 1 }],
    );
    const found = facts({ done: days, reports: reports([-52, { soreness: 'still sore' }]) });
    expect(found.exercises).toEqual([
      { id: 'tuck-lying', sessions: 4, flares: 2, stops: 1, leftOut: 0 },
    ]);
    const [log] = session().lines;
    const left = { lines: [{ ...log, share: 0, skipped: 'no time' as const }] } as never;
    expect(facts({ done: done([-56], [-55, left]) }).exercises).toMatchObject([
      { sessions: 1, leftOut: 1 },
    ]);
    // What was neither done nor left out, as in a session that was ended before it, is neither.
    const notReached = { lines: [{ ...log, share: 0, skipped: null }] } as never;
    expect(facts({ done: done([-56], [-55, notReached]) }).exercises).toMatchObject([
      { sessions: 1, leftOut: 0 },
    ]);
    const partly = { lines: [{ ...log, share: 0.1, skipped: null }] } as never;
    expect(facts({ done: done([-56], [-55, partly]) }).exercises).toMatchObject([
      { sessions: 2, leftOut: 0 },
    ]);
  });

  it('counts from its first day to its last, both with them', () => {
    const days = done([-56], [-55], [-2], [-1], [0]);
    const sessions = (change: Parameters<typeof facts>[0]) =>
      facts({ done: days, ...change }).exercises.map((one) => one.sessions);
    expect(sessions({})).toEqual([4]);
    expect(sessions({ closedOn: on(-2) })).toEqual([3]);
    expect(sessions({ openedOn: on(-56) })).toEqual([4]);
  });

  it('tells the dose of the first four weeks only where enough days asked for it', () => {
    const days = Array.from({ length: 28 }, (_, day) => [day - 30] as const);
    const whole = done(...days);
    for (const [date, day] of whole)
      whole.set(date, {
        ...day,
        lines: [{ lineage: 'tuck', shares: [0.5], beyondMost: 0 }],
      });
    const { facts: base } = record();
    const later = {
      ...base,
      done: whole,
      versions: [version(1, -30, line('10x10s gap 5s daily'))],
    };
    expect(facts({ facts: later }).share).toBeCloseTo(0.5);
    expect(facts({ facts: later, until: on(-18) }).share).toBeNull();
  });

  it('follows pain until it has changed by as much as matters, or as long as it is told', () => {
    const normal = randomNormal.source(randomLcg(0.3))(0, 0.6);
    const told = (fall: number, from = 7) =>
      reports(
        ...Array.from({ length: 56 }, (_, day): readonly [number, Partial<DayReport>] => [
          day - 56,
          { worst: Math.max(0, Math.min(10, Math.round(from - (fall * day) / 55 + normal()))) },
        ]),
      );
    const fell = facts({ reports: told(5) }).pain;
    expect(fell?.happened).toBe(true);
    expect(fell?.weeks).toBeGreaterThanOrEqual(3);
    expect(fell?.weeks).toBeLessThanOrEqual(6);
    expect(facts({ reports: told(0) }).pain).toEqual({ weeks: 8, happened: false });
    // Only days of the episode count: those before it, and those after it was closed, do not.
    const long = reports(...Array.from(told(5), ([, one], day) => [day - 56, one] as const));
    for (const day of [-80, -70, -65]) long.set(on(day), { ...NO_REPORT, worst: 0 });
    for (const day of [1, 2]) long.set(on(day), { ...NO_REPORT, worst: 10 });
    expect(facts({ reports: long }).pain).toEqual(fell);
    // Who began with next to none has little to gain, and three days say nothing.
    expect(facts({ reports: told(1, 1) }).pain).toBeNull();
    expect(facts({ reports: reports([-9, { worst: 6 }], [-8, { worst: 6 }]) }).pain).toBeNull();
  });

  it('counts what was decided, not what was taken back', () => {
    const decided = (decision: 'accepted' | 'taken back', key: string, day: number) => ({
      key,
      lineage: 'tuck',
      version: 1,
      move: 'advance hold' as const,
      decision,
      localDate: on(day),
    });
    const found = facts({
      decisions: [
        decided('accepted', 'b', -10),
        decided('taken back', 'a', -20),
        decided('accepted', 'a', -20),
      ],
      reports: reports([-5, { worst: 8 }]),
    });
    expect(found.proposals).toEqual([
      { move: 'advance hold', answer: 'accepted', pain: 'too few days', trouble: true },
    ]);
    expect(
      facts({ decisions: [decided('accepted', 'b', -30)], reports: reports([-5, { worst: 8 }]) })
        .proposals,
    ).toMatchObject([{ trouble: false }]);
  });

  it('is led by the school of most lines', () => {
    const of = (...schools: (string | null)[]) => {
      const base = record();
      const lines = schools.map((id, at) => ({
        ...line('10x10s gap 5s daily', `l${at}`),
        school: id === null ? null : ({ id, settings: {} } as never),
      }));
      return episodeFacts(
        { ...base, facts: { ...base.facts, versions: [version(1, -56, ...(lines as never[]))] } },
        () => 7,
      )?.school;
    };
    expect(of('lengthen', 'lengthen', 'climb')).toBe('lengthen');
    expect(of('lengthen', 'climb')).toBe('several');
    expect(of(null, null)).toBe('no school');
    expect(of(null, 'climb')).toBe('climb');
  });
});
