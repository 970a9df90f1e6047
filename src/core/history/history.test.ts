import { line, on, record, version } from '../../../tests/support/follow-record';
import type { WakingHours } from '../schedule';
import { adherenceHistory } from '.';

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
