import fc from 'fast-check';
import { runs } from '../../../tests/support/runs';
import { doseFrom, dose as doses } from '../../../tests/support/dose-lines';
import { BOUT_MODES, HOUSE, completeDose } from '../dose';
import {
  DEFAULT_PACES,
  assumedPauses,
  leftUnwritten,
  resolve,
  sessionSeconds,
  sessionTimeline,
} from '.';

const pauses = (line: string, mode: 'held' | 'moved' = 'held') =>
  assumedPauses(doseFrom(line), mode);
const said = (line: string, mode: 'held' | 'moved' = 'held') =>
  leftUnwritten(doseFrom(line), mode, { sided: true, effort: false }).assumed;

describe('pauses that nobody wrote', () => {
  it.each<[string, string[]]>([
    ['2x10s', ['gapAfterHold']],
    ['2x10 hold 3s', ['gapAfterHold', 'rest']],
    ['2x10 hold 3s rest 60s', ['gapAfterHold']],
    ['2x10 hold 3s gap 5s', []],
    ['2x10s gap 2s in 4 directions', []],
    ['10s in 4 directions', ['changeDirection']],
    ['5s at 3 angles', ['changeDirection']],
    ['2x10s each side', ['gapAfterHold', 'changeSide']],
    ['2x10s alternating', ['alternate']],
    ['30s at 3 barriers', []],
  ])('of %s are those that play', (line, names) => {
    expect(pauses(line)).toEqual(names);
  });

  it('are not said where nothing plays: movements follow one another', () => {
    expect(pauses('x10', 'moved')).toEqual([]);
    expect(pauses('2x10', 'moved')).toEqual(['rest']);
  });

  it('are said with the seconds that play: five to the next direction, not half a minute', () => {
    expect(said('10s in 4 directions')[0]).toEqual({
      key: 'assumed.pause.changeDirection',
      values: { seconds: 5 },
    });
    expect(said('2x10 hold 3s gap 1s')).not.toContainEqual(
      expect.objectContaining({ key: 'assumed.pause.rest' }),
    );
  });

  it('written out by the house change no time', () => {
    expect([HOUSE.gap.least, HOUSE.rest.least, HOUSE.nextDirection.least]).toEqual([
      DEFAULT_PACES.gapAfterHold,
      DEFAULT_PACES.rest,
      DEFAULT_PACES.changeDirection,
    ]);
    const needs = { sided: true, effort: false };
    for (const line of [
      '10s in 4 directions',
      '2x10 in 4 directions',
      '2x10 hold 3s left',
      'x10 left',
    ]) {
      const dose = doseFrom(line);
      const { dose: whole } = completeDose(dose, doseFrom('x1'), needs);
      const time = (one: typeof dose) =>
        sessionSeconds(sessionTimeline([{ dose: one, mode: 'held', position: 'sitting' }]));
      // Two sets in each direction: the pause between directions is now a written one.
      const longer = line.startsWith('2x10 in') ? 3 * (30 - 5) : 0;
      expect([line, time(whole).least - time(dose).least]).toEqual([line, longer]);
    }
  });

  it('and the segments agree, for any dose of any exercise', () => {
    fc.assert(
      fc.property(doses, fc.constantFrom(...BOUT_MODES), (dose, mode) => {
        const played = resolve(sessionTimeline([{ dose, mode, position: 'sitting' }]), 'most');
        const unwritten = played.filter(
          ({ kind, length, rep }) =>
            rep > 0 &&
            length.written === undefined &&
            !['move', 'release', 'hold', 'get-ready'].includes(kind),
        );
        const names = new Set(unwritten.map(({ length }) => length.pace));
        expect(new Set(assumedPauses(dose, mode))).toEqual(names);
        for (const { seconds, length } of unwritten)
          expect(seconds).toBe(length.pace && DEFAULT_PACES[length.pace]);
        // A faster clinic hears its own seconds.
        const brisk = { ...DEFAULT_PACES, rest: DEFAULT_PACES.changeSide };
        for (const { key, values } of leftUnwritten(
          dose,
          mode,
          { sided: false, effort: false },
          brisk,
        ).assumed)
          if (key === 'assumed.pause.rest') expect(values).toEqual({ seconds: brisk.rest });
      }),
      runs(300),
    );
  });
});
