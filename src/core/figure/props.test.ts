import {
  BASE_POSES,
  type DrawnProp,
  type Figure,
  MUSCLES,
  PRINT_PALETTE,
  drawFigure,
  svgText,
} from '.';

const SITTING = BASE_POSES.sitting;
const withProps = (props: readonly DrawnProp[], change: Partial<Figure> = {}): Figure => ({
  view: 'side',
  crop: 'whole',
  path: 'back',
  poses: [SITTING, SITTING],
  names: ['Start', 'End'],
  props,
  lit: [],
  pushes: [],
  fault: null,
  stages: null,
  ...change,
});

const PROPS: readonly DrawnProp[] = [
  { kind: 'wall', x: -14 },
  { kind: 'chair' },
  { kind: 'chair', back: false },
  { kind: 'bed', x: [-95, 18], top: 46 },
  { kind: 'mat', x: [-80, 90] },
  { kind: 'bench', x: [-56, -34], top: 36 },
  { kind: 'doorframe', x: -4, z: 36 },
  { kind: 'ball', at: { on: 'occiput' }, radius: 5 },
  { kind: 'roll', at: [10, 60, 0], radius: 4 },
  { kind: 'pad', at: [-12, 120, 0], size: [6, 17, 18] },
  { kind: 'pillow', at: [-40, 50, 0], size: [40, 12, 40] },
  { kind: 'block', at: [-40, 5, 0], size: [12, 9, 40] },
  { kind: 'blanket', at: [-30, 2, 0], size: [66, 4, 44] },
  { kind: 'weight', at: { on: 'palmRight' }, size: [6, 6, 16] },
  { kind: 'wedge', x: -64, height: 9, length: 26 },
  { kind: 'band', through: [{ on: 'palmRight' }, { on: 'occiput' }, { on: 'palmLeft' }] },
  { kind: 'cloth', through: [{ on: 'palmRight' }, [0, 100, 0]] },
  { kind: 'strap', through: [{ on: 'palmRight' }, { on: 'ballRight' }] },
];

describe('the things exercises need', () => {
  it('that are warm or cold say so, each with a sign of its own, in the close-up alone', () => {
    const shapesOf = (feels?: 'warm' | 'cold') => {
      const pack: DrawnProp = {
        kind: 'pad',
        at: { on: 'neckBase', away: [1.2, -4.9, 0] },
        size: [3, 11, 20],
        ...(feels ? { feels } : {}),
      };
      const { shapes, inset } = drawFigure(withProps([pack], { crop: 'upper' }), 0);
      return { shapes, small: inset?.of.shapes ?? [] };
    };
    const plain = shapesOf();
    const signs = (['warm', 'cold'] as const).map((feels) => {
      const { shapes, small } = shapesOf(feels);
      expect(small).toEqual(plain.small);
      const known = new Set(plain.shapes.map(({ d }) => d));
      return shapes.filter(({ d }) => !known.has(d));
    });
    // Three waves; six arms of two strokes each.
    expect(signs.map((shapes) => shapes.map(({ d }) => d.split('M').length - 1))).toEqual([
      [3],
      [12],
    ]);
    // Behind the head of who looks to the right, and above the pack.
    for (const [sign] of signs) {
      const [x = 0, y = 0] = (sign?.d.match(/-?[\d.]+/g) ?? []).map(Number);
      expect(x).toBeLessThan(-8);
      expect(y).toBeLessThan(-100);
    }
  });

  it.each(PROPS.map((prop) => [prop.kind, prop] as const))(
    '%s is drawn, either way round',
    (_, prop) => {
      for (const side of ['right', 'left'] as const)
        for (const view of ['side', 'front', 'back', 'above'] as const) {
          const bare = drawFigure(withProps([], { view }), 0, { side }).shapes.length;
          const drawing = drawFigure(withProps([prop], { view }), 0, { side });
          expect(drawing.shapes.length).toBeGreaterThan(bare);
          expect(svgText(drawing, PRINT_PALETTE, 'x')).not.toMatch(/NaN|Infinity|undefined/);
        }
    },
  );

  it('a thing on a mark goes with the body, one in the room stays', () => {
    const bent = { ...SITTING, pelvis: { flex: 20, side: 0, turn: 0 } };
    const shapeOf = (prop: DrawnProp, pose: typeof SITTING) => {
      const figure = withProps([prop], { poses: [pose, pose] });
      const without = new Set(drawFigure({ ...figure, props: [] }, 0).shapes.map(({ d }) => d));
      return drawFigure(figure, 0)
        .shapes.filter(({ d, tone }) => tone === 'thing-soft' && !without.has(d))
        .map(({ d }) => d);
    };
    const onHead: DrawnProp = { kind: 'ball', at: { on: 'occiput' }, radius: 5 };
    const inRoom: DrawnProp = { kind: 'ball', at: [0, 100, 0], radius: 5 };
    expect(shapeOf(onHead, bent)).not.toEqual(shapeOf(onHead, SITTING));
    expect(shapeOf(inRoom, bent)).toEqual(shapeOf(inRoom, SITTING));
  });
});

describe('muscles that are lit', () => {
  it.each(MUSCLES)('%s is seen from some side, and not through the body from all', (muscle) => {
    const seen = (['side', 'front', 'back'] as const).map(
      (view) =>
        drawFigure(withProps([], { view, lit: [{ muscle, as: 'working' }] }), 0).shapes.filter(
          ({ tone }) => tone === 'working',
        ).length,
    );
    expect(Math.max(...seen)).toBeGreaterThan(0);
    expect(Math.min(...seen)).toBeLessThan(3);
  });

  it('are lit on the other side when the figure is mirrored', () => {
    const figure = withProps([], {
      view: 'front',
      lit: [{ muscle: 'chest', as: 'stretched', side: 'right' }],
    });
    const lit = (side: 'right' | 'left') =>
      drawFigure(figure, 0, { side }).shapes.filter(({ tone }) => tone === 'stretched');
    expect(lit('right')).toHaveLength(1);
    expect(lit('left')).toHaveLength(1);
    const x = (side: 'right' | 'left') => Number(/M(-?[\d.]+)/.exec(lit(side)[0]?.d ?? '')?.[1]);
    // The right of somebody seen from the front is on the viewer's left.
    expect(x('right')).toBeLessThan(0);
    expect(x('left')).toBeGreaterThan(0);
  });
});
