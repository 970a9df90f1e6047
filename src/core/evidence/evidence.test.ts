import { shareInterval } from '../statistics';
import { SHIPPED } from '@/catalogue';
import { type Evidence, evidence } from './evidence';
import type { EpisodeFacts } from './facts';
import { PAIN_AFTER_WORDS, evidenceRows } from './file';
import { ANSWERS } from './facts';
import { PAIN_AFTER } from '../outlook';
import { type EpisodeOf, isFewPatients } from './told';

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
    // Every week is one of one band, and of one alone.
    for (let week = 1; week <= 20; week += 1) {
      const { leavingWeeks } = counted([...some(10), ...some(5, { ...left, week })]);
      expect([week, leavingWeeks.filter(({ count }) => count === 5).length]).toEqual([week, 1]);
    }
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
    const share = shareInterval(10, 160);
    expect(exercises[1]?.leftOut?.low).toBeCloseTo((share?.low ?? NaN) * 1000);
    expect(exercises[1]?.leftOut?.high).toBeCloseTo((share?.high ?? NaN) * 1000);
  });

  it('is silent of an exercise that few had, or that was done seldom, however much of the other', () => {
    const of = (id: string, sessions: number) => ({
      exercises: [{ id, sessions, flares: 0, stops: 0, leftOut: 0 }],
    });
    const { exercises } = counted([
      ...some(4, of('few-patients', 500)),
      ...some(7, of('seldom', 7)),
      ...some(5, of('enough', 10)),
    ]);
    expect(exercises.map(({ id }) => id)).toEqual(['enough']);
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

  it('counts what was told last, and in which week they left, as whole numbers', () => {
    const left = { ending: 'left', week: 2, lastTold: 'pain over 5' } as const;
    const rows = evidenceRows(counted([...some(10), ...some(6, left)]), String);
    const values = (table: string) =>
      rows.filter((row) => row.table === table && row.value !== '0').map(({ value }) => value);
    expect(values('told last by who left')).toEqual(['6']);
    expect(values('left in week')).toEqual(['6']);
  });

  it('has of each band of minutes the share of the dose, and who did most of it', () => {
    const rows = evidenceRows(
      counted([...some(8, { share: 0.9 }), ...some(2, { share: 0.4 })]),
      String,
    );
    const minutes = rows.filter(({ table }) => table === 'minutes a day');
    expect(minutes.map(({ group, what, value, of }) => [group, what, value, of])).toEqual([
      ['5 to 9', 'share of the dose', '0.800', '10'],
      ['5 to 9', 'share who did 80 % and more', expect.stringMatching(/^(0\.800)?$/), '10'],
    ]);
  });

  it('names what it has of each exercise, and tells a move from five patients on', () => {
    const rows = evidenceRows(counted(some(8)), String);
    const rates = rows.filter(({ table }) => table === 'per thousand sessions');
    expect(rates.map(({ what }) => what)).toEqual(['flares', 'stops', 'left out']);
    const moves = (count: number) =>
      counted([...some(count), ...some(6, { proposals: [] })]).proposals.map(({ move }) => move);
    expect([4, 5].map(moves)).toEqual([[], ['advance hold']]);
  });

  it('says of a group in which pain changed with nobody what none of so many may be', () => {
    const level = { pain: { weeks: 12, happened: false } };
    const { groups } = counted(some(20, level));
    const none = shareInterval(0, 20);
    expect(none?.high).toBeGreaterThan(0);
    expect(groups[0]?.changed).toEqual(
      (groups[0]?.changed ?? []).map(({ weeks }) => ({ weeks, ...none })),
    );
    expect(groups[0]?.changed.length).toBeGreaterThan(0);
  });

  it('writes counts as whole numbers, and shares to a thousandth', () => {
    const rows = evidenceRows(counted(some(8)), String);
    const values = rows
      .filter(({ table }) => table === 'proposals')
      .map(({ what, value }) => [what, value]);
    expect(values).toEqual([
      ['accepted', '8'],
      ...ANSWERS.slice(1).map((answer) => [answer, '0']),
      ...PAIN_AFTER.map((one) => [
        PAIN_AFTER_WORDS[one].toLowerCase(),
        one === 'lower' ? '8' : '0',
      ]),
      ['share with trouble in the fortnight after', '0.000'],
    ]);
  });
});

it('a clinic of five thousand is counted at once', () => {
  const all = Array.from({ length: 5000 }, (_, at) => ({
    patient: `${at}`,
    facts: { ...ONE, minutes: at % 40, ending: at % 3 === 0 ? ('left' as const) : ONE.ending },
  }));
  expect(counted(all).episodes).toBe(5000);
});
