import { EXERCISES, SHIPPED } from '@/catalogue';
import { inSessionOrder, orderHints, orderMoves, placeForNew, sessionPlace } from '.';

const exercise = (id: string) => {
  const found = SHIPPED.byId(id);
  if (!found) throw new Error(id);
  return found;
};

describe('the order of a session (common practice, no source)', () => {
  const wrong = ['chin-held-ball', 'tuck-seated', 'block-opening', 'band-pull', 'neck-warm-up'].map(
    exercise,
  );
  it('is warm-up, easy, hardest front of the neck late, blade pull, passive opening to close', () => {
    expect(inSessionOrder(wrong, (one) => one).map(({ id }) => id)).toEqual([
      'neck-warm-up',
      'tuck-seated',
      'chin-held-ball',
      'band-pull',
      'block-opening',
    ]);
    expect(orderHints(inSessionOrder(wrong, (one) => one))).toEqual([]);
  });
  const ordered = (ids: readonly string[]) =>
    inSessionOrder(ids.map(exercise), (one) => one).map(({ id }) => id);
  it('two of one place stand in any order', () => {
    for (const place of [200, 300, 500]) {
      const alike = EXERCISES.filter((one) => sessionPlace(one) === place).slice(0, 2);
      expect([place, orderHints(alike)]).toEqual([place, []]);
      expect([place, orderHints([...alike].reverse())]).toEqual([place, []]);
    }
  });
  it('opens the low back’s stages with lying face down', () => {
    const stages = ['face-down-lying', 'forearm-prop', 'press-up'];
    expect(ordered(stages)).toEqual(stages);
    expect(orderHints(stages.map(exercise))).toEqual([]);
  });
  it('lies on the wedge before the drills on it, and last where none follows', () => {
    const drills = ['tuck-seated', 'wedge-lying', 'wedge-press', 'wedge-look-over'];
    expect(ordered(drills)).toEqual(drills);
    expect(ordered(['wedge-press', 'tuck-seated', 'wedge-lying'])).toEqual([
      'wedge-lying',
      'wedge-press',
      'tuck-seated',
    ]);
    expect(orderHints(drills.map(exercise))).toEqual([]);
    expect(ordered(['wedge-lying', 'tuck-seated'])).toEqual(['tuck-seated', 'wedge-lying']);
  });
  it('tells what it moved and why, and not of what only made room', () => {
    const lines = ['tuck-lift', 'tuck-seated', 'neck-warm-up'].map(exercise);
    const after = inSessionOrder(lines, (one) => one);
    expect(orderMoves(lines, after, (one) => one)).toEqual([
      { exercise: lines[2], from: 3, to: 1, say: 'a warm-up comes first' },
      {
        exercise: lines[0],
        from: 1,
        to: 3,
        say: 'the hardest at the front of the neck comes late',
      },
    ]);
    expect(orderMoves(after, after, (one) => one)).toEqual([]);
    expect(orderMoves([1], [1], () => null)).toEqual([]);
  });
  it('puts a new warm-up behind those that stand first, and anything else last', () => {
    const there = ['easy-walk', 'tuck-seated'].map(exercise);
    expect(placeForNew(exercise('neck-warm-up'), there)).toBe(1);
    expect(placeForNew(exercise('neck-warm-up'), [])).toBe(0);
    expect(placeForNew(exercise('easy-walk'), [null, ...there])).toBe(0);
    expect(placeForNew(exercise('shoulder-rolls'), [exercise('easy-walk')])).toBe(1);
    expect(placeForNew(exercise('wall-press'), there)).toBe(2);
  });
  it('hints at what stands elsewhere', () => {
    expect(orderHints(wrong).map(({ exercise: { id } }) => id)).toEqual([
      'chin-held-ball',
      'block-opening',
      'neck-warm-up',
    ]);
  });
});
