import { markupOf } from '../../../tests/support/film';
import { parseDose } from '../dose';
import { type PlayedSegment, resolve, sessionTimeline } from '../timeline';
import { BASE_POSES, type Figure, ease, filmOf, momentOf, poseAt, roundEnd, skeletonOf } from '.';

const TURNED = { ...BASE_POSES.sitting, thorax: { flex: 0, side: 0, turn: 30 } };
const BENT = { ...BASE_POSES.sitting, thorax: { flex: 20, side: 0, turn: 0 } };
const figure: Figure = {
  view: 'front',
  crop: 'whole',
  path: 'back',
  poses: [BASE_POSES.sitting, BENT, TURNED],
  names: ['Sitting', 'Bent', 'Turned'],
  props: [],
  lit: [],
  pushes: [],
  fault: null,
  stages: null,
};

function played(line: string, mode: 'held' | 'moved' | 'lain'): PlayedSegment[] {
  const dose = parseDose(line);
  if (!dose.ok) throw new Error(dose.say);
  return resolve(sessionTimeline([{ dose: dose.value, mode, position: 'sitting' }]), 'least');
}

it('is where a part without length leads', () => {
  const segment = { ...first(played('5x3s', 'held'), 'move'), seconds: 0 as never };
  expect(momentOf(figure, segment, 0).along).toBe(
    momentOf(figure, { ...segment, seconds: 2 as never }, 2).along,
  );
});

it('goes the whole way of a figure of one stage in two poses', () => {
  const two: Figure = {
    ...figure,
    poses: [BASE_POSES.sitting, BENT],
    stages: {
      by: 'station',
      at: [
        { pose: 1, side: 'right' },
        { pose: 0, side: 'left' },
      ],
    },
  };
  const hold = first(played('5x3s at 2 angles', 'held'), 'hold');
  expect(momentOf(two, { ...hold, station: 1 }, 1)).toEqual({ side: 'right', along: 1 });
  expect(momentOf(two, { ...hold, station: 2 }, 1)).toEqual({ side: 'left', along: 0 });
});

const first = (segments: readonly PlayedSegment[], kind: PlayedSegment['kind']) => {
  const found = segments.find((one) => one.kind === kind);
  if (!found) throw new Error(`no ${kind}`);
  return found;
};

describe('a figure in time', () => {
  const held = played('3x10s gap 5s', 'held');
  const moved = played('x5 move 4s', 'moved');

  it('stands still where the dose holds, for the whole hold', () => {
    const hold = first(held, 'hold');
    for (const at of [0, 3, hold.seconds])
      expect(momentOf(figure, hold, at)).toEqual({ along: 1, side: 'right' });
    expect(hold.seconds).toBe(10);
  });

  it('goes in before the hold, comes back after it, and waits at the start', () => {
    const move = first(held, 'move');
    expect(momentOf(figure, move, 0).along).toBe(0);
    expect(momentOf(figure, move, move.seconds / 2).along).toBeCloseTo(0.5, 6);
    expect(momentOf(figure, move, move.seconds).along).toBe(1);
    const release = first(held, 'release');
    expect(momentOf(figure, release, 0).along).toBe(1);
    expect(momentOf(figure, release, release.seconds).along).toBe(0);
    expect(momentOf(figure, first(held, 'gap'), 1).along).toBe(0);
  });

  it('moves there and back in the written tempo', () => {
    const move = first(moved, 'move');
    expect(move.seconds).toBe(4);
    expect(momentOf(figure, move, 2).along).toBe(1);
    expect(momentOf(figure, move, 4).along).toBe(0);
    // Even a written movement only leads in when a hold follows.
    const into = first(played('x5 hold 3s move 4s', 'held'), 'move');
    expect(momentOf(figure, into, into.seconds).along).toBe(1);
  });

  it('turns to the side that is named', () => {
    const sides = played('x2 hold 3s each side', 'held').map(
      (one) => momentOf(figure, one, 0).side,
    );
    expect(new Set(sides)).toEqual(new Set(['right', 'left']));
  });

  it('goes round where its path does, and is back where it began', () => {
    const round: Figure = { ...figure, path: 'round' };
    expect(roundEnd(round)).toBe(1.5);
    const move = first(moved, 'move');
    expect(momentOf(round, move, 4).along).toBe(1.5);
    expect(skeletonOf(poseAt(round, 1.5))).toEqual(skeletonOf(round.poses[0]));
  });

  it('shows the place of the dose: the direction, the angle, the barrier', () => {
    const staged: Figure = {
      ...figure,
      stages: { by: 'direction', at: [{ pose: 0 }, { pose: 1, side: 'left' }, { pose: 2 }] },
    };
    const holds = played('x1 hold 3s in 3 directions', 'held').filter(
      ({ kind }) => kind === 'hold',
    );
    expect(holds.map((one) => momentOf(staged, one, 1))).toEqual([
      { along: 0, side: 'right' },
      { along: 0.5, side: 'left' },
      { along: 1, side: 'right' },
    ]);
    const barriers = played('30s at 3 barriers', 'held').filter(({ kind }) => kind === 'hold');
    const pulled: Figure = {
      ...figure,
      stages: { by: 'barrier', at: [{ pose: 0 }, { pose: 1 }, { pose: 2 }] },
    };
    expect(barriers.map((one) => momentOf(pulled, one, 1).along)).toEqual([0, 0.5, 1]);
  });

  it('shows where a movement leads, and no movement, to those who asked for less', () => {
    const move = first(held, 'move');
    expect(momentOf(figure, move, 0, true).along).toBe(1);
    const whole = first(moved, 'move');
    expect(new Set([0, 1, 1.9].map((at) => momentOf(figure, whole, at, true).along)).size).toBe(1);
  });

  it('draws each moment once, and a moment near it from what is drawn', () => {
    const film = filmOf(figure);
    expect(film.at(0.5)).toBe(film.at(0.501));
    expect(film.at(0)).not.toEqual(film.at(1));
    expect(film.at(-3)).toBe(film.at(0));
    expect(markupOf(film)(1)).toMatch(/^(<path class="[a-z-]+" d="[-MLAZa-z0-9. ]+"\/>)+$/);
  });

  it('starts and ends gently', () => {
    expect([ease(-1), ease(0), ease(0.5), ease(1), ease(7)]).toEqual([0, 0, 0.5, 1, 1]);
  });
});

describe('a film drawn ahead', () => {
  it('shows what it would have shown, and knows when all is drawn', () => {
    for (const path of ['back', 'round'] as const) {
      const way: Figure = { ...figure, path };
      const [ahead, asked] = [filmOf(way), filmOf(way)];
      const middle = ahead.at(0.5);
      let drawn = 0;
      while (ahead.drawNext()) drawn += 1;
      // 24 steps a movement and the first pose; the one that was asked for is not drawn again.
      expect(drawn).toBe(path === 'back' ? 48 : 72);
      expect(ahead.drawNext()).toBe(false);
      expect(ahead.at(0.5)).toBe(middle);
      for (const along of [0, 0.2, 0.7, 1]) expect(ahead.at(along)).toEqual(asked.at(along));
    }
  });
});
