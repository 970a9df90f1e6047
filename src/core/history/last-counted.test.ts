import { parseDose } from '../dose';
import { addDays, localDate } from '../units';
import {
  type CountedSet,
  NOTHING_DONE,
  type SessionDone,
  countedSets,
  lastCounted,
  lastMaxOf,
} from '.';

const TODAY = localDate('2026-11-28');

function session(counted: readonly CountedSet[] | undefined, lineage = 'row'): SessionDone {
  const log = { lineage, share: 1, reps: 3, heldSeconds: 0, hold: null, sets: [3], skipped: null };
  return {
    id: 'one',
    key: 'session-1',
    share: 1,
    state: 'ended',
    version: 1,
    minute: 540,
    pain: null,
    effort: null,
    lines: [{ ...log, counted }],
  };
}
const done = (...days: readonly (readonly SessionDone[])[]) =>
  new Map(
    days.map((sessions, ago) => [addDays(TODAY, -ago), { ...NOTHING_DONE, sessions }] as const),
  );
const set = (number: number, reps: number | null): CountedSet => ({
  set: number,
  reps,
  load: null,
});

it('the newest counts of a line stand, of the later session where a day has two', () => {
  const found = lastCounted(
    done(
      [session(undefined)],
      [session([set(1, 9)]), session([set(1, 11)]), session([set(1, 4)], 'pull')],
      [session([set(1, 20)])],
    ),
  );
  expect(found.get('row')).toEqual([set(1, 11)]);
  expect(found.get('pull')).toEqual([set(1, 4)]);
  expect(lastCounted(done([session([])])).size).toBe(0);
});

it.each<[string, readonly CountedSet[], number | null]>([
  ['10-6-max-max', [set(1, 10), set(3, 8), set(4, 7)], 8],
  ['10-6-max-max', [set(1, 10), set(2, 6)], null],
  ['10-6-max-max', [set(3, null), set(4, 5)], 5],
  ['3x8-12', [set(1, 10)], null],
])('until form fails, %s %j: last %s', (line, counted, last) => {
  const dose = parseDose(line);
  if (!dose.ok) throw new Error(dose.say);
  expect(lastMaxOf(dose.value, counted)).toBe(last);
});

it('a set on both sides counts as its poorer one, with the lighter load', () => {
  const place = { round: 1, direction: 1, station: 1, set: 1 };
  const kilos = (amount: number) => ({ amount, unit: 'kg' }) as const;
  expect(
    countedSets([
      { ...place, set: 2, side: 'left', reps: 7, load: null },
      { ...place, side: 'left', reps: 10, load: kilos(6) },
      { ...place, side: 'right', reps: 8, load: kilos(5) },
      { ...place, set: 2, side: 'right', reps: null, load: null },
    ]),
  ).toEqual([
    { set: 1, reps: 8, load: kilos(5) },
    { set: 2, reps: 7, load: null },
  ]);
  expect(countedSets([{ ...place, side: null, reps: null, load: kilos(5) }])).toEqual([
    { set: 1, reps: null, load: kilos(5) },
  ]);
});
