import fc from 'fast-check';
import { seconds } from '../units';
import { type RibbonSession, type WallMinute, layRibbon, sessionLabel, snapMinute } from '.';

const waking = { wake: 420 as WallMinute, sleep: 1320 as WallMinute };
const any = (nth: number, of: number, minutes = 10): RibbonSession => ({
  key: `s${nth}`,
  slot: { kind: 'any', nth, of },
  seconds: seconds(minutes * 60),
});
const work = { from: 540, to: 1020, label: 'work' };

describe('the day ribbon', () => {
  it('spreads n sessions a day from an hour after waking to an hour before sleep', () => {
    const found = layRibbon([any(1, 3), any(2, 3), any(3, 3)], waking, [], {});
    expect(found.placed.map(({ from }) => from)).toEqual([480, 870, 1260]);
  });
  it.each([
    ['on waking', 420],
    ['after waking', 480],
    ['before hands-on care', 780],
    ['after hands-on care', 870],
    ['before training', 960],
    ['after training', 1050],
  ] as const)(
    'puts what is to be done %s where such days have it, until the day is known',
    (kind, from) => {
      const { placed } = layRibbon(
        [{ key: 'a', slot: { kind }, seconds: seconds(600) }],
        waking,
        [],
        {},
      );
      expect(placed).toEqual([{ key: 'a', from, to: from + 10, how: 'by rule' }]);
    },
  );
  it('goes round work and meals', () => {
    const found = layRibbon([any(1, 3), any(2, 3), any(3, 3)], waking, [work], {});
    expect(found.placed.map(({ from, to }) => from >= 1020 || to <= 540)).toEqual([
      true,
      true,
      true,
    ]);
    expect(found.placed.some(({ how }) => how === 'moved')).toBe(true);
  });
  it('keeps what was put by hand, unless it is taken', () => {
    expect(layRibbon([any(1, 1)], waking, [work], { s1: 1100 }).placed[0]).toMatchObject({
      from: 1100,
      how: 'by hand',
    });
    expect(layRibbon([any(1, 1)], waking, [work], { s1: 600 }).placed[0]).toMatchObject({
      from: 480,
      how: 'by rule',
    });
  });
  it('draws short beats as ticks, and says what finds no room', () => {
    const beat: RibbonSession = {
      key: 'every-120-1',
      slot: { kind: 'at', minute: 600 as WallMinute, minutesApart: 120 },
      seconds: seconds(60),
    };
    const found = layRibbon([beat, any(1, 1, 600)], waking, [work], {});
    expect(found.ticks).toEqual([{ key: 'every-120-1', at: 600 }]);
    expect(found.unplaced).toEqual([{ key: 's1', say: 'No free 600 min are left in this day.' }]);
  });
  it('follows a day that goes over midnight', () => {
    const found = layRibbon(
      [any(1, 2), any(2, 2)],
      { wake: 1200 as WallMinute, sleep: 360 as WallMinute },
      [{ from: 300, to: 359, label: 'meal' }],
      {},
    );
    expect(found.sleep).toBe(1800);
    expect(found.placed.map(({ from }) => from)).toEqual([1260, 1730]);
  });

  it('never overlaps and never leaves the waking hours; every session is placed, ticked or said not to fit', () => {
    const session = fc.record({
      minutes: fc.integer({ min: 1, max: 240 }),
      slot: fc.oneof(
        fc.record({
          kind: fc.constant('any' as const),
          nth: fc.integer({ min: 1, max: 6 }),
          of: fc.constant(6),
        }),
        fc.record({
          kind: fc.constant('at' as const),
          minute: fc.integer({ min: 0, max: 1439 }).map((at) => at as WallMinute),
          minutesApart: fc.constant(60),
        }),
        fc.constantFrom({ kind: 'on waking' as const }, { kind: 'after training' as const }),
      ),
    });
    const busy = fc
      .tuple(fc.nat(1380), fc.integer({ min: 10, max: 300 }))
      .map(([at, long]) => ({ from: at, to: at + long, label: 'x' }));
    fc.assert(
      fc.property(
        fc.array(session, { maxLength: 9 }),
        fc.array(busy, { maxLength: 4 }),
        fc.nat(1439),
        fc.integer({ min: 60, max: 1439 }),
        fc.array(fc.nat(2000), { maxLength: 9 }),
        (list, blocks, wake, awake, drags) => {
          const sessions = list.map(({ minutes, slot }, index): RibbonSession => ({
            key: String(index),
            slot,
            seconds: seconds(minutes * 60),
          }));
          const dragged = Object.fromEntries(drags.map((at, index) => [String(index), at]));
          const found = layRibbon(
            sessions,
            { wake: wake as WallMinute, sleep: ((wake + awake) % 1440) as WallMinute },
            blocks,
            dragged,
          );
          expect(found.placed.length + found.ticks.length + found.unplaced.length).toBe(
            sessions.length,
          );
          const taken = [
            ...found.placed,
            ...blocks,
            ...blocks.map((one) => ({ ...one, from: one.from + 1440, to: one.to + 1440 })),
          ];
          for (const one of found.placed) {
            expect(one.from).toBeGreaterThanOrEqual(found.wake);
            expect(one.to).toBeLessThanOrEqual(found.sleep);
            for (const other of taken)
              if (other !== one) expect(one.to <= other.from || one.from >= other.to).toBe(true);
          }
        },
      ),
    );
  });
});

it('names two sessions morning and evening, three with midday between', () => {
  const label = (nth: number, of: number) => sessionLabel({ kind: 'any', nth, of });
  expect([label(1, 1), label(1, 2), label(2, 2), label(2, 3), label(4, 5)]).toEqual([
    'Today’s session',
    'Morning',
    'Evening',
    'Midday',
    'Session 4 of 5',
  ]);
  expect(sessionLabel({ kind: 'at', minute: 1500 as WallMinute, minutesApart: 60 })).toBe(
    'At 01:00',
  );
  expect(snapMinute(487)).toBe(485);
});
