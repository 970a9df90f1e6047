import { line, on, record, session, version } from '../../../tests/support/follow-record';
import { type DayReport, NO_REPORT, adherenceHistory } from '../history';
import { type EpisodeSpan, lineagesFor, overlaps, recordFor, reportFor } from '.';

const span = (id: string, from: number, to: number | null = null): EpisodeSpan => ({
  id,
  openedOn: on(from),
  closedOn: to === null ? null : on(to),
});
const neck = span('neck', -20);
const knee = span('knee', -10);
const told = (change: Partial<DayReport>): DayReport => ({ ...NO_REPORT, ...change });

describe('episodes at once', () => {
  it.each([
    [neck, knee, true],
    [span('neck', -20, -11), knee, false],
    // One that began the day the other ended came after it.
    [span('neck', -20, -10), knee, false],
    [span('neck', -20, -9), knee, true],
    [neck, span('before', -40, -20), false],
  ])('%j and %j: %p', (one, other, expected) => {
    expect([overlaps(one, other), overlaps(other, one)]).toEqual([expected, expected]);
  });
});

describe('what was told of a day, as far as one complaint goes', () => {
  const both = told({
    worst: 6,
    pains: [6, 2],
    worstOf: [
      { episodeId: 'neck', worst: 2 },
      { episodeId: 'knee', worst: 6 },
    ],
  });
  it('is its own number, never the other’s', () => {
    expect(reportFor(on(-1), both, 'neck', [knee])).toMatchObject({ worst: 2, pains: [] });
    expect(reportFor(on(-1), both, 'knee', [neck])).toMatchObject({ worst: 6, pains: [] });
  });
  it('is nothing where only the other was told of', () => {
    const of = told({ worst: 6, pains: [6], worstOf: [{ episodeId: 'knee', worst: 6 }] });
    expect(reportFor(on(-1), of, 'neck', [knee])).toMatchObject({ worst: null, pains: [] });
  });
  it('is nothing where it may be of either, and all of it while there was no other', () => {
    const plain = told({ worst: 6, pains: [5] });
    expect(reportFor(on(-10), plain, 'neck', [knee])).toMatchObject({ worst: null, pains: [] });
    expect(reportFor(on(-11), plain, 'neck', [knee])).toBe(plain);
    const gone = span('knee', -10, -5);
    expect(reportFor(on(-5), plain, 'neck', [gone])).toMatchObject({ worst: null });
    expect(reportFor(on(-4), plain, 'neck', [gone])).toBe(plain);
  });
  it('keeps what is of the whole person', () => {
    const day = told({ ...both, soreness: 'flare', notes: ['Long drive'], arm: 3 });
    expect(reportFor(on(-1), day, 'neck', [knee])).toMatchObject({
      soreness: 'flare',
      notes: ['Long drive'],
      arm: 3,
    });
  });
});

describe('a record of one complaint among two', () => {
  const tuck = line('10x10s gap 5s daily', 'tuck', 'neck');
  const bridge = line('10x10s gap 5s daily', 'bridge', 'knee');
  const log = (lineage: string, share: number) => ({
    lineage,
    share,
    reps: 10,
    heldSeconds: 100,
    hold: 10,
    sets: [10],
    skipped: null,
  });
  // One session of the day: the neck's line whole, the knee's not at all.
  const day = {
    lines: [{ lineage: 'tuck', shares: [1], beyondMost: 0 }],
    sessions: [session({ share: 0.5, lines: [log('tuck', 1)] })],
  };
  const whole = {
    ...record({
      versions: [version(1, -20, tuck), version(2, -10, tuck, bridge)],
      done: new Map([
        [on(-1), { ...day, sessions: [{ ...day.sessions[0], version: 2 } as never] }],
      ]),
    }),
    reports: new Map([
      [
        on(-1),
        told({
          worst: 7,
          worstOf: [{ episodeId: 'knee', worst: 7 }],
          activities: [
            { activity: 'climb stairs', score: 3 },
            { activity: 'turn the head', score: 8 },
          ],
        }),
      ],
    ]),
  };
  const yesterday = (of: typeof whole) => adherenceHistory(of.facts, on(-1), on(-1))[0];

  it('counts its own lines, and a session by them', () => {
    expect(yesterday(whole)).toMatchObject({ share: 0.5 });
    const ofNeck = recordFor(whole, neck, [knee]);
    expect(yesterday(ofNeck)).toMatchObject({ share: 1, sessionsDue: 1, sessionsDone: 1 });
    const ofKnee = recordFor(whole, knee, [neck]);
    expect(yesterday(ofKnee)).toMatchObject({ share: 0, sessionsDue: 1, sessionsDone: 0 });
    expect(ofKnee.facts.done.get(on(-1))?.lines).toEqual([]);
  });
  it('begins with its own first line', () => {
    const ofKnee = recordFor(whole, knee, [neck]);
    const [before, first] = adherenceHistory(ofKnee.facts, on(-11), on(-10));
    expect([before?.kind, first?.kind]).toEqual(['before', 'due']);
  });
  it('has its own pain, and no activity that is the other’s goal alone', () => {
    const ofNeck = recordFor(whole, neck, [knee], new Set(['climb stairs']));
    expect(ofNeck.reports.get(on(-1))).toMatchObject({
      worst: null,
      activities: [{ activity: 'turn the head' }],
    });
    expect(recordFor(whole, knee, [neck]).reports.get(on(-1))).toMatchObject({ worst: 7 });
  });
  it('stays as it is where nothing was treated beside it', () => {
    expect(recordFor(whole, neck, [])).toBe(whole);
    expect(recordFor(whole, neck, [span('before', -60, -30)])).toBe(whole);
  });
  it('goes with a line that was put right, all of it', () => {
    const moved = [version(1, -20, tuck), version(2, -5, { ...tuck, episodeId: 'knee' })];
    expect([...lineagesFor(moved, 'knee')]).toEqual(['tuck']);
    expect([...lineagesFor(moved, 'neck')]).toEqual([]);
  });
});
