import { line, on, record, session, version } from '../../../tests/support/follow-record';
import { readStrip } from '../follow';
import { type CountedSet, NOTHING_DONE } from '../history';
import { stripsOf } from '.';

describe('strips', () => {
  const strips = (measures: Parameters<typeof stripsOf>[2] = []) => {
    const done = new Map([[on(-1), { ...NOTHING_DONE, sessions: [session()] }]]);
    return stripsOf(record({ done }), [], measures, on(-10));
  };
  it('are there only where something happened', () => {
    expect(strips().map(({ id }) => id)).toEqual(['dose', 'times', 'soreness', 'line-tuck']);
  });
  describe('of a line', () => {
    const log = { lineage: 'tuck', share: 1, reps: 10, heldSeconds: 0, hold: null, skipped: null };
    const of = (text: string, ...days: readonly (readonly CountedSet[] | undefined)[]) =>
      stripsOf(
        record({
          versions: [version(1, -20, line(text))],
          done: new Map(
            days.map((counted, index) => [
              on(index - days.length),
              {
                ...NOTHING_DONE,
                sessions: [session({ lines: [{ ...log, sets: [10], counted }] })],
              },
            ]),
          ),
        }),
        [],
        [],
        on(-10),
      ).filter(({ kind }) => kind === 'line');
    const set = (number: number, reps: number | null, kilos: number | null = null): CountedSet => ({
      set: number,
      reps,
      load: kilos === null ? null : { amount: kilos, unit: 'kg' },
    });

    it('is what was counted alone where nothing was lifted', () => {
      expect(of('3x8-12', [set(1, 10)], [set(1, 12)]).map(({ id }) => id)).toEqual([
        'counted-tuck',
      ]);
      // One day that was counted is enough.
      expect(of('3x8-12', [set(1, 10)]).map(({ id }) => id)).toEqual(['counted-tuck']);
    });

    it('is what was lifted and what was counted, as it was told', () => {
      const found = of('3x8-12 5kg', [set(1, 10, 5), set(2, 9, 7.5), set(3, 8, 7.5)], undefined, [
        set(1, 12, 10),
        set(2, null),
      ]);
      expect(found.map(({ id, name }) => [id, name])).toEqual([
        ['lifted-tuck', 'Tuck, lifted'],
        ['counted-tuck', 'Tuck, counted'],
      ]);
      expect(found[0]).toMatchObject({
        unit: 'kg lifted',
        points: [
          { date: on(-3), value: 7.5 },
          { date: on(-1), value: 10 },
        ],
      });
      const [, counted] = found;
      expect(counted && readStrip(counted, on(-3))).toBe('10 + 9 + 8 repetitions');
      expect(counted && readStrip(counted, on(-2))).toBe('');
      expect(counted && readStrip(counted, on(-1))).toBe('12 repetitions');
    });

    it('is the written weight, and says so, where nobody told what they lifted', () => {
      expect(of('3x10 5kg', undefined, undefined)).toMatchObject([
        {
          id: 'line-tuck',
          name: 'Tuck, as written',
          unit: 'kg',
          points: [{ value: 5 }, { value: 5 }],
        },
      ]);
    });
  });

  it('draw a measure taken more than once, oldest first', () => {
    const turn = (days: number, value: number) =>
      ({ kind: 'neck-turn', side: 'left', value, on: on(days) }) as const;
    const found = strips([turn(-1, 70), turn(-5, 60), turn(-11, 50)]).find(
      ({ id }) => id === 'measure-neck-turn-left',
    );
    expect(found).toMatchObject({
      unit: '°',
      points: [
        { date: on(-5), value: 60 },
        { date: on(-1), value: 70 },
      ],
    });
    expect(strips([turn(-1, 70)]).some(({ id }) => id.startsWith('measure'))).toBe(false);
  });
});
