import { on, record, session, version, line } from '../../../tests/support/follow-record';
import type { DayDone, SessionDone } from '../history';
import type { LocalDate } from '../units';
import { type FollowRecord, sessionsOf } from '.';

const VERSIONS = [version(1, -20, line('10x10s'), line('x10', 'row'))];
const PLAYED = session().lines[0];
if (!PLAYED) throw new Error('a session without lines');
const did = (id: string, lineages: readonly string[], change: Partial<SessionDone> = {}) =>
  session({ id, lines: lineages.map((lineage) => ({ ...PLAYED, lineage })), ...change });
const day = (...sessions: SessionDone[]): DayDone => ({ lines: [], sessions });

/** Reads a record again and again, as its events do; versions of its own, so that nothing is known. */
function reading() {
  const versions = structuredClone(VERSIONS);
  return (days: Readonly<Record<number, DayDone>>, more: Partial<FollowRecord['facts']> = {}) => {
    const done = new Map<LocalDate, DayDone>(
      Object.entries(days).map(([at, one]) => [on(Number(at)), one]),
    );
    return sessionsOf({ ...record({ versions, done, ...more }), reports: new Map() });
  };
}
const ids = (of: ReturnType<typeof sessionsOf>, lineage: string, number = 1) =>
  of(number, lineage).map(({ id }) => id);

describe('the sessions of a line', () => {
  const monday = day(did('a', ['tuck', 'row']));
  const tuesday = day(did('b', ['tuck']), did('c', ['tuck', 'row']));

  it('are those of its version, oldest first, however they were told', () => {
    const of = reading()({
      [-2]: tuesday,
      [-3]: monday,
      [-1]: day(did('d', ['tuck'], { version: 2 })),
    });
    expect(ids(of, 'tuck')).toEqual(['a', 'b', 'c']);
    expect(ids(of, 'row')).toEqual(['a', 'c']);
    expect(ids(of, 'tuck', 2)).toEqual(['d']);
    expect(of(3, 'tuck')).toEqual([]);
    expect(of(1, 'nobody')).toEqual([]);
  });

  it('are the very list of before where nothing was told of the line', () => {
    const read = reading();
    const before = read({ [-3]: monday, [-2]: tuesday });
    // The day told anew, in other objects, with one session more of the other line.
    const after = read({
      [-3]: monday,
      [-2]: {
        ...structuredClone(tuesday),
        sessions: [...structuredClone(tuesday.sessions), did('e', ['row'])],
      },
    });
    expect(after(1, 'tuck')).toBe(before(1, 'tuck'));
    expect(ids(after, 'row')).toEqual(['a', 'c', 'e']);
    // What was read before stays as it was.
    expect(ids(before, 'row')).toEqual(['a', 'c']);
  });

  it('lose a day that is read no more, and a session that was taken out', () => {
    const read = reading();
    const before = read({ [-3]: monday, [-2]: tuesday });
    const without = read({ [-2]: tuesday });
    expect(ids(without, 'tuck')).toEqual(['b', 'c']);
    expect(ids(without, 'row')).toEqual(['c']);
    const fewer = read({ [-2]: day(did('c', ['tuck', 'row'])) });
    expect(ids(fewer, 'tuck')).toEqual(['c']);
    expect(fewer(1, 'row')).toBe(without(1, 'row'));
    expect(ids(before, 'tuck')).toEqual(['a', 'b', 'c']);
  });

  it('come in another order where a day is told so', () => {
    const read = reading();
    read({ [-2]: tuesday });
    expect(ids(read({ [-2]: day(...[...tuesday.sessions].reverse()) }), 'tuck')).toEqual([
      'c',
      'b',
    ]);
  });

  it('go to the version they were played from, also where that is said later', () => {
    const read = reading();
    expect(ids(read({ [-2]: day(did('b', ['tuck'])) }), 'tuck')).toEqual(['b']);
    const moved = read({ [-2]: day(did('b', ['tuck'], { version: 2 })) });
    expect(ids(moved, 'tuck')).toEqual([]);
    expect(ids(moved, 'tuck', 2)).toEqual(['b']);
  });

  it('say the same of a stop that stands, and of one that was let go on', () => {
    const read = reading();
    const days = { [-2]: day(did('b', ['tuck'], { state: 'stopped for a symptom' })) };
    const open = [{ from: on(-2), to: null }];
    const stopped = (of: ReturnType<typeof sessionsOf>) => of(1, 'tuck').map((log) => log.stopped);
    expect(stopped(read(days, { pauses: open }))).toEqual(['stands']);
    expect(stopped(read(days, { pauses: [{ from: on(-2), to: on(-1) }] }))).toEqual(['let go on']);
    expect(stopped(read(days, { pauses: open }))).toEqual(['stands']);
  });
});
