import { SHIPPED } from '@/catalogue';
import { line, on, session, version } from '../../../tests/support/follow-record';
import { type DayDone, type DayReport, NO_REPORT } from '../history';
import { adherenceHistory } from '../history';
import type { WallMinute, Zone } from '../schedule';
import { randomLcg, randomNormal } from 'd3';
import type { LocalDate } from '../units';
import { type EpisodeRecord, episodeFacts } from './facts';
import { evidenceRows } from './file';
import { leavingOf } from './leaving';
import { type Evidence, evidence } from './evidence';
import { type EpisodeOf, isFewPatients } from './told';
import type { EpisodeFacts } from './facts';

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

const ONE: EpisodeFacts = {
  area: 'neck',
  school: 'lengthen',
  ending: 'going on',
  week: 4,
  lastTold: null,
  minutes: 8,
  share: 0.8,
  pain: { weeks: 4, happened: true },
  exercises: [{ id: 'tuck-lying', sessions: 30, flares: 1, stops: 0, leftOut: 2 }],
  proposals: [{ move: 'advance hold', answer: 'accepted', pain: 'lower', trouble: false }],
};
let patients = 0;
const some = (count: number, change: Partial<EpisodeFacts> = {}): EpisodeOf[] =>
  Array.from({ length: count }, () => ({
    patient: `p${(patients += 1)}`,
    facts: { ...ONE, ...change },
  }));
const counted = (all: readonly EpisodeOf[], by: 'complaint' | 'school' = 'complaint') => {
  const told = evidence(all, by);
  if (told.kind === 'too few') throw new Error('there are enough');
  return told;
};

describe('together', () => {
  it('says nothing of fewer than five patients, however many episodes', () => {
    expect(evidence(some(4), 'complaint')).toEqual({ kind: 'too few' });
    const [one] = some(1);
    expect(
      evidence(
        Array.from({ length: 20 }, () => one as EpisodeOf),
        'school',
      ),
    ).toEqual({
      kind: 'too few',
    });
    expect(evidenceRows({ kind: 'too few' }, String)).toEqual([]);
  });

  it('puts small groups together and counts endings with their shares', () => {
    const { groups } = counted([
      ...some(6, { ending: 'finished' }),
      ...some(6),
      ...some(3, { area: 'back' }),
      ...some(2, { area: null }),
    ]);
    expect(groups.map(({ name, episodes }) => [name, episodes])).toEqual([
      ['neck', 12],
      ['others together', 5],
    ]);
    expect(groups[0]?.endings.finished).toMatchObject({ count: 6, share: 0.5 });
    expect(groups[0]?.endings.left).toMatchObject({ count: 0, share: 0, low: 0 });
  });

  it('adds up: every episode has one ending, where all are told', () => {
    const { groups } = counted([
      ...some(8, { ending: 'left', week: 2, lastTold: 'no time' }),
      ...some(9, { ending: 'finished' }),
      ...some(7, { ending: 'never begun', week: null }),
      ...some(6),
    ]);
    const [group] = groups;
    const counts = Object.values(group?.endings ?? {}).map((share) => share?.count);
    expect(counts).toEqual([7, 6, 9, 8]);
    expect(group?.episodes).toBe(30);
  });

  it('tells where they left only from five of them on', () => {
    const left = { ending: 'left', week: 2, lastTold: 'pain over 5' } as const;
    expect(counted([...some(10), ...some(4, left)])).toMatchObject({
      leavingWeeks: [],
      lastTold: [],
    });
    const told = counted([...some(10), ...some(6, left), ...some(5, { ...left, week: 20 })]);
    expect(told.leavingWeeks.filter(({ count }) => count !== 0)).toEqual([
      { from: 2, to: 2, count: 6 },
      { from: 13, to: null, count: 5 },
    ]);
    expect(told.lastTold.find(({ what }) => what === 'pain over 5')?.count).toBe(11);
  });

  it('follows pain by weeks at which five and more had changed', () => {
    const { groups } = counted([
      ...some(10, { pain: { weeks: 4, happened: true } }),
      ...some(2, { pain: { weeks: 6, happened: true } }),
      ...some(8, { pain: { weeks: 12, happened: false } }),
    ]);
    expect(groups[0]).toMatchObject({ changedOf: 20, medianWeeks: 4 });
    expect(groups[0]?.changed.map(({ weeks, share }) => [weeks, share])).toEqual([[4, 0.5]]);
  });

  it('does not tell of how many where the rest would be told by that', () => {
    const { groups } = counted([...some(10), ...some(2, { pain: null, share: null })]);
    expect(groups[0]).toMatchObject({ changedOf: null, dose: { of: null } });
    expect(groups[0]?.dose?.mean).toBeCloseTo(0.8);
  });

  it('says nothing of pain where fewer than five were followed, and of five it does', () => {
    const pain = { weeks: 4, happened: true };
    const nothing = { changed: [], changedOf: null, medianWeeks: null };
    const of = (count: number) =>
      counted([...some(10, { pain: null }), ...some(count, { pain })]).groups[0];
    expect(of(4)).toMatchObject(nothing);
    expect(of(5)).toMatchObject({ medianWeeks: 4 });
  });

  it('nor where another view tells of how many all together', () => {
    const known = { school: 'climb' } as const;
    const all = [
      ...some(10, known),
      ...some(2, { ...known, share: null }),
      ...some(10),
      ...some(8, { share: null }),
    ];
    const of = (by: 'complaint' | 'school') => counted(all, by).groups.map(({ dose }) => dose?.of);
    expect(of('complaint')).toEqual([20]);
    // By subtracting the one that is told from twenty, the two of the other would be had.
    expect(of('school')).toEqual([null, null]);
  });

  it('five patients are not few', () => {
    expect([4, 5].map((count) => isFewPatients(some(count)))).toEqual([true, false]);
  });

  it('puts each number of minutes into its band', () => {
    const of = (minutes: number) =>
      counted(some(5, { minutes })).minutes.map(({ from, to }) => [from, to]);
    for (const [from, to] of [
      [0, 4],
      [5, 9],
      [10, 14],
      [15, 19],
      [20, 29],
    ] as const)
      expect([of(from), of(to)]).toEqual([[[from, to]], [[from, to]]]);
    expect([of(30), of(300)]).toEqual([[[30, null]], [[30, null]]]);
  });

  it('puts bands of minutes together that are too small', () => {
    const { minutes } = counted([
      ...some(6, { minutes: 3, share: 0.9 }),
      ...some(2, { minutes: 12, share: 0.6 }),
      ...some(6, { minutes: 22, share: 0.5 }),
    ]);
    expect(minutes.map(({ from, to, of }) => [from, to, of])).toEqual([
      [0, 14, 8],
      [20, 29, 6],
    ]);
    expect(minutes[0]?.mean).toBeCloseTo((6 * 0.9 + 2 * 0.6) / 8);
  });

  it('gives rates of a thousand sessions, and none of what one to four had', () => {
    const few = { id: 'bridge', sessions: 20, flares: 0, stops: 0, leftOut: 0 };
    const { exercises } = counted([
      ...some(5, { exercises: [...ONE.exercises, few] }),
      ...some(3, { exercises: [{ ...few, flares: 1 }] }),
    ]);
    expect(exercises).toMatchObject([
      { id: 'bridge', patients: 8, sessions: 160, flares: null, stops: { per: 0 } },
      { id: 'tuck-lying', patients: 5, sessions: 150, stops: { per: 0, low: 0 } },
    ]);
    expect(exercises[1]?.flares?.per).toBeCloseTo((5 / 150) * 1000);
    expect(exercises[1]?.leftOut?.per).toBeCloseTo((10 / 160) * 1000);
  });

  it('counts how proposals were answered and what followed', () => {
    const declined = { ...(ONE.proposals[0] as object), answer: 'declined' } as never;
    const { proposals } = counted([...some(8), ...some(6, { proposals: [declined] })]);
    expect(proposals).toMatchObject([
      {
        move: 'advance hold',
        answers: { accepted: 8, edited: 0, declined: 6 },
        pain: { lower: 8, higher: 0 },
        trouble: { count: 0, share: 0 },
      },
    ]);
  });
});

describe('the file', () => {
  const PLACES = /^(\d+(\.\d+)?)?$/;
  it('holds the tables that are shown, with their gaps', () => {
    const told: Evidence = counted(
      [
        ...some(9),
        ...some(2, { ending: 'left', week: 1, lastTold: 'no time' }),
        ...some(7, { area: 'back', ending: 'finished' }),
      ],
      'school',
    );
    const rows = evidenceRows(told, (id) => SHIPPED.byId(id)?.name ?? id);
    expect(JSON.stringify(rows)).toContain('share with trouble in the fortnight after');
    expect(rows.length).toBeGreaterThan(10);
    for (const { value, low, high } of rows)
      for (const cell of [value, low, high]) expect(cell).toMatch(PLACES);
    const left = rows.find(({ what }) => what === 'share left');
    expect(left).toMatchObject({ table: 'by school', value: '', low: '', high: '', of: '18' });
    expect(rows.filter(({ table }) => table === 'left in week')).toEqual([]);
  });
});

it('a clinic of five thousand is counted at once', () => {
  const all = Array.from({ length: 5000 }, (_, at) => ({
    patient: `${at}`,
    facts: { ...ONE, minutes: at % 40, ending: at % 3 === 0 ? ('left' as const) : ONE.ending },
  }));
  expect(counted(all).episodes).toBe(5000);
});
