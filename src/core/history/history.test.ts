import { line, on, record, session, version } from '../../../tests/support/follow-record';
import type { WakingHours } from '../schedule';
import { type DayDone, type HistoryFacts, adherenceHistory } from '.';

const WAKING = { wake: 420, sleep: 1320 } as WakingHours;

/** What a version's days ask is kept from one look to the next: never beyond what it was reckoned with. */
describe('what a day asks', () => {
  const beats = [version(1, -20, line('x10 every 2h'))];
  const two = [version(1, -20, line('x10 3/day'), line('x10 2/day', 'row'))];
  const hours = (wake: number, sleep: number) => ({ wake, sleep }) as WakingHours;
  const due = (versions: typeof beats, waking: WakingHours, counted?: ReadonlySet<string>) =>
    adherenceHistory(
      { ...record({ versions }).facts, waking, ...(counted && { counted }) },
      on(-2),
      on(-1),
    ).map((day) => (day.kind === 'due' ? day.sessionsDue : day.kind));

  it('goes by the hours somebody is awake, whichever were asked about before', () => {
    const long = due(beats, hours(420, 1320));
    const short = due(beats, hours(420, 720));
    expect(short[0]).toBeLessThan(Number(long[0]));
    expect(due(beats, hours(420, 1320))).toEqual(long);
    expect(due(beats, hours(420, 720))).toEqual(short);
  });

  it('goes by the lines that are counted, and by all again', () => {
    const all = due(two, hours(420, 1320));
    const some = due(two, hours(420, 1320), new Set(['row']));
    expect(some).toEqual([2, 2]);
    expect(due(two, hours(420, 1320))).toEqual(all);
    expect(all).not.toEqual(some);
    expect(due(two, hours(420, 1320), new Set(['nobody']))).toEqual(['before', 'before']);
  });
});

/** A day is found once, and anew with whatever it is found of. */
describe('a day that was found before', () => {
  const versions = [version(1, -20, line('x10 daily'))];
  const told = (share: number): DayDone => ({
    lines: [{ lineage: 'tuck', shares: [share], beyondMost: 0 }],
    sessions: [session({ share })],
  });
  const DONE = new Map([[on(-2), told(1)]]);
  const history = (change: Partial<HistoryFacts> = {}) =>
    adherenceHistory(
      {
        ...record({ versions, done: DONE }).facts,
        waking: WAKING,
        ...change,
      },
      on(-3),
      on(1),
    );
  const shares = (change: Partial<HistoryFacts> = {}) =>
    history(change).map((day) => (day.kind === 'due' ? [day.share, day.isToday] : day.kind));
  const first = [[0, false], [1, false], [0, false], [0, true], 'future'];

  it('is told anew where it was told anew, and as before where it is taken back', () => {
    expect(shares()).toEqual(first);
    expect(shares({ done: new Map([[on(-2), told(0.5)]]) })[1]).toEqual([0.5, false]);
    expect(shares({ done: new Map() })[1]).toEqual([0, false]);
    expect(shares()).toEqual(first);
  });

  it('is paused where it is paused, and due again', () => {
    expect(shares({ pauses: [{ from: on(-2), to: on(-2) }] })[1]).toBe('paused');
    expect(shares()).toEqual(first);
  });

  it('is over once it is, and to come before it is', () => {
    expect(shares({ today: on(1) })).toEqual([...first.slice(0, 3), [0, false], [0, true]]);
    expect(shares({ today: on(-2) })).toEqual([
      [0, false],
      [1, true],
      'future',
      'future',
      'future',
    ]);
    expect(shares()).toEqual(first);
  });

  it('is the very same where nothing else is', () => {
    const [before, after] = [history(), history({ done: new Map(DONE) })];
    after.forEach((day, at) => expect(day).toBe(before[at]));
  });
});
