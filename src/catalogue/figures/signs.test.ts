import { type Figure, drawFigure, movementsBetween, skeletonOf } from '@/core/figure';
import { headBefore } from '@/core/figure/drawing/head-shapes';
import { cameraFor } from '@/core/figure/drawing/view';
import { someOf } from '../../../tests/support/runs';
import { FIGURES } from '.';

const named = (id: string): Figure => {
  const figure = FIGURES[id];
  if (!figure) throw new Error(`${id} has no figure.`);
  return figure;
};

/** What is drawn in a pose that was come to. */
const shapesIn = (figure: Figure, pose: number) =>
  drawFigure(figure, pose / (figure.poses.length - 1), { before: true, effort: false }).shapes;
const drawnIn = (figure: Figure, pose: number, of: string) =>
  shapesIn(figure, pose).filter(({ tone }) => tone === of);

describe('the signs of a movement', () => {
  const ways = someOf(
    Object.entries(FIGURES)
      .filter(([, { stages }]) => stages === null || stages.by === 'barrier')
      .flatMap(([id, figure]) => figure.poses.slice(1).map((to, i) => ({ id, figure, to, i }))),
    4,
  );

  it('show in every pose that was moved to where it began, and the way there', () => {
    for (const { id, figure, to, i } of ways) {
      const from = figure.poses[i] ?? to;
      if (movementsBetween(from, to).length === 0) continue;
      const tones = shapesIn(figure, i + 1).map(({ tone }) => tone);
      expect([id, i, tones.includes('before'), tones.includes('way')]).toEqual([id, i, true, true]);
    }
  });

  it('show how a stretch sinks on from one barrier to the next, and no way between places', () => {
    const stretch = named('side-neck-stretch');
    for (const pose of [1, 2, 3]) expect(drawnIn(stretch, pose, 'way')).toHaveLength(1);
    for (const id of ['six-way-hold', 'knee-angle-hold'])
      expect([id, drawnIn(named(id), 1, 'way')]).toEqual([id, []]);
  });

  it.each(['squat', 'squat-to-look', 'calf-stretch', 'calf-raise'])(
    '%s: who goes down or up with the hips was somebody with a head before',
    (id) => {
      const figure = named(id);
      const [start] = figure.poses;
      const [before] = drawnIn(figure, 1, 'before');
      const head = skeletonOf(start).frames.head;
      expect(before?.d).toContain(headBefore(head, start.jaw, cameraFor(figure.view)));
    },
  );

  it('say of who walks or runs what the legs do, and of who squats what the arms do too', () => {
    const movers = (id: string) => {
      const [from, to] = named(id).poses;
      return movementsBetween(from, to).map(({ mover }) => mover);
    };
    for (const id of ['easy-walk', 'easy-jog'])
      expect([id, movers(id).sort()]).toEqual([id, ['legLeft', 'legRight']]);
    expect(movers('squat')).toContain('armRight');
    expect(movers('knees-to-chest')).toContain('armRight');
  });

  it.each(['pelvic-tilt', 'knee-rolls'])('%s: a head that stays has no arrow', (id) => {
    const [from, to] = named(id).poses;
    expect(movementsBetween(from, to).map(({ mover }) => mover)).not.toContain('head');
  });

  it('stand over the arch of a back that rounds or hollows between hips and hands', () => {
    const [level, round, hollow] = named('cat-camel').poses;
    if (!level || !round || !hollow) throw new Error('cat-camel has three poses.');
    const rise = (from: typeof level, to: typeof level) => {
      const [trunk] = movementsBetween(from, to).filter(({ mover }) => mover === 'trunk');
      const [first, last] = [trunk?.way[0], trunk?.way.at(-1)];
      return first && last ? last[1] - first[1] : 0;
    };
    expect(rise(level, round)).toBeGreaterThan(4);
    expect(rise(round, hollow)).toBeLessThan(-8);
    expect(movementsBetween(hollow, level).map(({ mover }) => mover)).toContain('trunk');
  });
});
