import { momentOf, readPose } from '@/core/figure';
import { parseDose } from '@/core/dose';
import { resolve, sessionTimeline } from '@/core/timeline';
import { EXERCISES } from '.';
import { figureOf } from './figures';

/** Common practice, no source: what a side names is the trade's habit. */
const sided = EXERCISES.filter(({ needs }) => needs.sided);
const swap = (text: string) =>
  text.replace(/left|right/g, (side) => (side === 'left' ? 'right' : 'left'));

describe('what a side names', () => {
  it('is declared by every sided exercise, in a sentence for left and one for right', () => {
    for (const { id, sides } of EXERCISES) {
      expect([id, sides !== null]).toEqual([id, sided.some((one) => one.id === id)]);
      if (!sides) continue;
      expect([id, sides.left]).toEqual([id, swap(sides.right)]);
      expect(sides.left).toContain('left');
    }
  });

  it('is what the drawing shows for the right', () => {
    const shown: Record<string, string[]> = {};
    for (const { id, sides } of sided) {
      const figure = figureOf(id);
      if (!figure || !sides) throw new Error(id);
      const lit = (as: 'working' | 'stretched') =>
        figure.lit.flatMap((one) => (one.as === as && one.side ? [one.side] : []));
      const turns = figure.poses.map(readPose);
      const right = Math.max(...turns.map((one) => one.headTurnRightDeg + one.trunkTurnRightDeg));
      const left = Math.min(...turns.map((one) => one.headTurnRightDeg + one.trunkTurnRightDeg));
      const rolls = turns.find((one) => Math.abs(one.headSideRightDeg) > 5);
      shown[sides.name] ??= [];
      switch (sides.name) {
        case 'lengthened':
          expect([id, [...new Set(lit('stretched'))]]).toEqual([id, ['right']]);
          break;
        case 'works':
          expect([id, [...new Set(lit('working'))]]).toEqual([id, ['right']]);
          break;
        case 'turned':
          if (id === 'head-rolls') expect((rolls?.headSideRightDeg ?? 0) > 5).toBe(true);
          else expect([id, right > 5, left > -5]).toEqual([id, true, true]);
          break;
        case 'limb':
          expect([id, [...lit('working'), ...lit('stretched')].includes('left')]).toEqual([
            id,
            false,
          ]);
      }
      shown[sides.name]?.push(id);
    }
    expect(Object.keys(shown).sort()).toEqual(['lengthened', 'limb', 'turned', 'works']);
  });
});

describe('named directions', () => {
  const named = EXERCISES.filter(({ directions }) => directions.length > 0);
  const holdsOf = (line: string) => {
    const dose = parseDose(line);
    if (!dose.ok) throw new Error(dose.say);
    return resolve(
      sessionTimeline([{ dose: dose.value, mode: 'held', position: 'sitting' }]),
      'least',
    ).filter(({ kind }) => kind === 'hold');
  };

  it('stand in the usual dose, and are all drawn', () => {
    expect(named.map(({ id }) => id)).toEqual([
      'six-way-hold',
      'four-way-ball',
      'glide-press',
      'resisted-range',
    ]);
    for (const { id, directions, usualDose } of named) {
      expect([id, usualDose]).toEqual([
        id,
        expect.stringContaining(`in ${directions.length} directions`),
      ]);
      const stages = figureOf(id)?.stages?.at.map(({ to }) => to);
      expect([id, stages]).toEqual([id, directions]);
    }
  });

  it('move through the direction that is under way, also where the dose names a side', () => {
    const figure = figureOf('resisted-range');
    if (!figure) throw new Error('no figure');
    const last = figure.poses.length - 1;
    const seen = (line: string, names: Parameters<typeof momentOf>[4]) => {
      const dose = parseDose(line);
      if (!dose.ok) throw new Error(dose.say);
      const played = resolve(
        sessionTimeline([{ dose: dose.value, mode: 'moved', position: 'sitting' }]),
        'least',
      );
      return played
        .filter(({ kind }) => kind === 'move')
        .map((one) =>
          [0, 1.5, 3].map((elapsed) => {
            const { along, side } = momentOf(figure, one, elapsed, false, names);
            return `${side} ${Math.round(along * last * 100) / 100}`;
          }),
        );
    };
    expect(seen('x1 move 3s in front/back/left/right', ['front', 'back', 'left', 'right'])).toEqual(
      [
        ['right 2', 'right 3', 'right 2'],
        ['right 4', 'right 5', 'right 4'],
        ['left 0', 'left 1', 'left 0'],
        ['right 0', 'right 1', 'right 0'],
      ],
    );
    expect(seen('x1 move 3s each side', [])).toEqual([
      ['left 0', 'left 1', 'left 0'],
      ['right 0', 'right 1', 'right 0'],
    ]);
  });

  it('show the place of the name, in whatever order a dose names them', () => {
    const figure = figureOf('six-way-hold');
    if (!figure) throw new Error('no figure');
    const places = (line: string, names: Parameters<typeof momentOf>[4]) =>
      holdsOf(line).map((one) => momentOf(figure, one, 0, false, names));
    const all = places('10s in 6 directions', [
      'front',
      'back',
      'left',
      'right',
      'turn left',
      'turn right',
    ]);
    expect(all.map(({ side }) => side).slice(2)).toEqual(['left', 'right', 'left', 'right']);
    const [first, second] = places('10s in turn right/front', ['turn right', 'front']);
    expect([first, second]).toEqual([all[5], all[0]]);
  });
});
