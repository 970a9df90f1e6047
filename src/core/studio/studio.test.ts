import {
  BASE_POSES,
  VIEWS,
  BASES,
  beyondRange,
  markAt,
  type Pose,
  skeletonOf,
  type Vec,
} from '@/core/figure';
import { FIGURES } from '@/catalogue/figures';
import { OwnFigure, figureFault } from '@/core/records';
import {
  HANDLES,
  type Handle,
  REST_PLACES,
  SETTINGS,
  SLIDERS,
  type Studio,
  type StudioAct,
  THINGS,
  bareFigure,
  facePalm,
  fromSheet,
  figureFrom,
  handleAt,
  layHand,
  measuresOf,
  moveHandle,
  nameAtHand,
  newThing,
  onSheet,
  openStudio,
  palmFaces,
  placeInWords,
  pointToes,
  poseAtHand,
  restsOn,
  setSlider,
  shapeHand,
  sliderOf,
  spread,
  studioAfter,
  toesPoint,
} from '.';
import { addedTo } from './sliders';

/** The drawing of a clinic's own exercise: nothing is taken from outside, the values are geometry. */
const apart = (a: Vec, b: Vec) => Math.hypot(a[0] - b[0], a[1] - b[1], a[2] - b[2]);
const { sitting, standing } = BASE_POSES;

describe('taking hold of a body', () => {
  it.each([
    ['right hand', [8, 10, 0]],
    ['left hand', [4, 6, -5]],
    ['right foot', [-6, 4, 0]],
    ['left foot', [0, 8, -2]],
  ] as const)('brings the %s where it is dragged', (handle, by) => {
    const before = handleAt(sitting, handle);
    const after = handleAt(moveHandle(sitting, handle, by), handle);
    // A hand that lets go of a thigh turns with its forearm: within a palm's half thickness.
    expect(apart(after, [before[0] + by[0], before[1] + by[1], before[2] + by[2]])).toBeLessThan(3);
  });

  it('leaves the other hand and the feet where they were', () => {
    const after = moveHandle(sitting, 'right hand', [10, 12, 0]);
    for (const still of ['left hand', 'right foot', 'left foot', 'head', 'pelvis'] as const)
      expect(apart(handleAt(after, still), handleAt(sitting, still))).toBeLessThan(0.2);
  });

  it('stops a hand where the arm ends', () => {
    const after = moveHandle(standing, 'right hand', [300, 0, 0]);
    expect(skeletonOf(after).missed).toBeLessThan(0.6);
    const shoulder = skeletonOf(after).frames.upperArmRight.at;
    expect(apart(handleAt(after, 'right hand'), shoulder)).toBeLessThan(68);
  });

  it.each(BASES)('keeps every joint within a person’s range, from %s', (base) => {
    const pose = BASE_POSES[base];
    const before = beyondRange(pose).length;
    for (const handle of HANDLES)
      for (const by of [
        [40, 0, 0],
        [-40, 0, 0],
        [0, 40, 0],
        [0, -40, 0],
        [0, 0, 40],
        [0, 0, -40],
      ] as const) {
        const after = moveHandle(pose, handle, by);
        expect([handle, by, beyondRange(after).slice(before)]).toEqual([handle, by, []]);
      }
  });

  it('bends elbow and knee the way they are drawn, hand and foot staying', () => {
    const asked: readonly [Handle, Handle, Vec][] = [
      ['right elbow', 'right hand', [0, 6, 14]],
      ['left knee', 'left foot', [0, 0, -14]],
    ];
    for (const [handle, end, by] of asked) {
      const before = handleAt(sitting, handle);
      const after = moveHandle(sitting, handle, by);
      expect(handleAt(after, handle)[2] * Math.sign(by[2])).toBeGreaterThan(
        before[2] * Math.sign(by[2]),
      );
      expect(apart(handleAt(after, end), handleAt(sitting, end))).toBeLessThan(0.3);
    }
  });

  it('keeps a hand on the forehead while its elbow is moved', () => {
    const laid = layHand(sitting, 'right', 'forehead');
    expect(laid).not.toBeNull();
    if (laid) expect(restsOn(moveHandle(laid, 'right elbow', [0, 0, 5]), 'right')).toBe('forehead');
  });

  it('slides, nods and bends the head by where it is drawn', () => {
    const read = (by: Vec) => {
      const after = moveHandle(sitting, 'head', by);
      return [
        sliderOf(after, 'head slid forward'),
        sliderOf(after, 'chin down'),
        sliderOf(after, 'head bent right'),
      ];
    };
    expect(read([-3, 0, 0])).toEqual([-12, 0, 0]);
    expect(read([0, -3, 0])).toEqual([0, 12, 0]);
    expect(read([0, 0, 3])).toEqual([0, 0, 12]);
  });

  it('bends the trunk by the chest, in the way the pelvis looks', () => {
    const after = moveHandle(standing, 'chest', [5, 0, -3]);
    expect(sliderOf(after, 'trunk bent forward')).toBe(10);
    expect(sliderOf(after, 'trunk bent right')).toBe(-6);
  });

  it('takes the body along by the pelvis, the feet staying', () => {
    const after = moveHandle(standing, 'pelvis', [-6, -12, 0]);
    expect(handleAt(after, 'head')[1]).toBeLessThan(handleAt(standing, 'head')[1] - 8);
    for (const foot of ['right foot', 'left foot'] as const)
      expect(apart(handleAt(after, foot), handleAt(standing, foot))).toBeLessThan(0.3);
    expect(skeletonOf(after).legs.right.bend).toBeGreaterThan(20);
  });

  it('lifts a foot that carried the body without taking the body along', () => {
    const after = moveHandle(standing, 'right foot', [0, 15, 0]);
    expect(apart(handleAt(after, 'head'), handleAt(standing, 'head'))).toBeLessThan(0.2);
    expect(handleAt(after, 'right foot')[1] - handleAt(standing, 'right foot')[1]).toBeCloseTo(
      15,
      0,
    );
  });
});

describe('the sheet', () => {
  it('takes a drag straight across, whatever the camera’s own turn', () => {
    expect(fromSheet('side', 4, -3)).toEqual([4, 3, 0]);
    expect(fromSheet('front', 4, 3)).toEqual([0, -3, -4]);
    expect(fromSheet('back', 4, 3)).toEqual([0, -3, 4]);
    expect(fromSheet('above', 4, 3)).toEqual([4, 0, 3]);
    expect(fromSheet('front', 0, 0, 2)).toEqual([2, 0, 0]);
  });

  it.each(VIEWS)('seen %s, a drag follows the pointer to a twentieth', (view) => {
    const [x, y] = onSheet(view, fromSheet(view, 20, 12));
    expect(Math.hypot(x - 20, y - 12)).toBeLessThan(1.2);
  });

  it('moves points apart until each can be taken hold of, and leaves the others', () => {
    expect(
      spread(
        [
          [0, 0],
          [1, 0],
          [50, 0],
        ],
        5,
      ),
    ).toEqual([
      [-2, 0],
      [3, 0],
      [50, 0],
    ]);
    const crowd = spread(
      Array.from({ length: 6 }, (_, i) => [i % 2, i / 9] as const),
      4,
    );
    for (const [i, a] of crowd.entries())
      for (const b of crowd.slice(i + 1))
        expect(Math.hypot(a[0] - b[0], a[1] - b[1])).toBeGreaterThan(3.9);
    expect(spread([], 4)).toEqual([]);
    const [one, two] = spread(
      [
        [3, 3],
        [3, 3],
      ],
      4,
    );
    expect([one, two]).toEqual([
      [1, 3],
      [5, 3],
    ]);
  });
});

describe('sliders', () => {
  it.each(SLIDERS)('%s is set and read the same, within what joints allow', (slider) => {
    const { least, most } = SETTINGS[slider];
    const small = Math.min(most, Math.max(least, 4));
    expect(sliderOf(setSlider(standing, slider, small), slider)).toBeCloseTo(small, 1);
    for (const far of [least - 50, most + 50]) {
      const pose = setSlider(sitting, slider, far);
      expect(beyondRange(pose)).toEqual([]);
      expect(sliderOf(pose, slider)).toBeGreaterThanOrEqual(least - 0.1);
      expect(sliderOf(pose, slider)).toBeLessThanOrEqual(most + 0.1);
    }
  });

  it.each(SLIDERS)('%s goes on by one where one is asked, and by none where none is', (slider) => {
    const { least, most } = SETTINGS[slider];
    const middle = setSlider(standing, slider, Math.min(most - 1, Math.max(least, 2)));
    expect(addedTo(middle, slider, 0)).toBe(middle);
    expect(sliderOf(addedTo(middle, slider, 1), slider)).toBeCloseTo(
      sliderOf(middle, slider) + 1,
      1,
    );
  });

  it('keeps the face level while the head slides', () => {
    for (const far of [-20, 15])
      expect(sliderOf(setSlider(sitting, 'head slid forward', far), 'chin down')).toBe(0);
  });

  it('shares a turn out between both joints of the neck', () => {
    const { neck, head } = setSlider(sitting, 'head turned right', 40);
    expect([neck.turn, head.turn]).toEqual([18, 22]);
  });
});

describe('hands and feet', () => {
  it('lays a hand on a place of the body, and takes it off to where it is', () => {
    const laid = layHand(sitting, 'right', 'templeRight');
    if (!laid) throw new Error('no reach');
    expect(restsOn(laid, 'right')).toBe('templeRight');
    const { frames } = skeletonOf(laid);
    expect(apart(markAt(frames, 'palmRight'), markAt(frames, 'templeRight'))).toBeLessThan(2);
    const off = layHand(laid, 'right', null);
    expect(off && restsOn(off, 'right')).toBeNull();
  });

  it('says no where the arm is too short', () => {
    expect(layHand(standing, 'right', 'shinLeft')).toBeNull();
  });

  it('offers only places whose skin looks somewhere, each in words', () => {
    expect(REST_PLACES).toContain('forehead');
    expect(REST_PLACES).not.toContain('heelRight');
    expect(placeInWords('sideOfHeadLeft')).toBe('left side of head');
    expect(placeInWords('forehead')).toBe('forehead');
  });

  it('shapes a hand, turns its palm and points the toes', () => {
    expect(skeletonOf(shapeHand(sitting, 'left', 'fist')).hands.left).toBe('fist');
    const faced = facePalm(standing, 'right', 'up');
    expect(palmFaces(faced, 'right')).toBe('up');
    expect(palmFaces(facePalm(faced, 'right', null), 'right')).toBeNull();
    expect(toesPoint(standing, 'left')).toBe('forward');
    expect(toesPoint(pointToes(standing, 'left', 'up'), 'left')).toBe('up');
  });
});

describe('things', () => {
  it.each(THINGS)('%s is made, measured and changed', (kind) => {
    const prop = newThing(kind, sitting);
    const figure = { ...bareFigure('sitting'), props: [prop] };
    expect(OwnFigure.safeParse(figure).error?.issues ?? []).toEqual([]);
    for (const { value, set } of measuresOf(prop)) {
      const changed = measuresOf(set(value + 3)).map((one) => one.value);
      expect(changed).toContain(value + 3);
    }
  });

  it('stands a wall behind whoever stands there', () => {
    const wall = newThing('wall', standing);
    const { frames } = skeletonOf(standing);
    expect(wall.kind === 'wall' && wall.x).toBeLessThan(markAt(frames, 'buttocks')[0]);
  });
});

describe('where a drawing begins', () => {
  it.each(BASES)('%s is a drawing that may be kept', (base) => {
    const figure = bareFigure(base);
    expect(OwnFigure.safeParse(figure).success).toBe(true);
    expect(figureFault(figure)).toBeNull();
  });

  it.each(Object.entries(FIGURES))('%s may be begun from, kept and read again', (_, figure) => {
    const begun = figureFrom(figure);
    const read = OwnFigure.safeParse(JSON.parse(JSON.stringify(begun)));
    expect(read.error?.issues ?? []).toEqual([]);
    expect(figureFault(begun)).toBeNull();
  });
});

/** Acts one after the other. */
const after = (studio: Studio, ...acts: StudioAct[]) => acts.reduce(studioAfter, studio);
const bend =
  (by: number): ((pose: Pose) => Pose) =>
  (pose) =>
    setSlider(pose, 'trunk bent forward', by);

describe('the studio', () => {
  const begin = openStudio(bareFigure('standing'));

  it('changes only the pose at hand, and takes it back and forth', () => {
    const bent = after(begin, { kind: 'at', at: 1 }, { kind: 'pose', change: bend(20) });
    expect(bent.figure.poses[0]).toBe(begin.figure.poses[0]);
    expect(sliderOf(poseAtHand(bent), 'trunk bent forward')).toBe(20);
    const undone = after(bent, { kind: 'undo' });
    expect(undone.figure).toBe(begin.figure);
    expect(after(undone, { kind: 'redo' }).figure).toEqual(bent.figure);
    expect(after(begin, { kind: 'undo' })).toEqual(begin);
    // Where no fault is drawn yet, its pose is the one to begin it from.
    expect(poseAtHand({ ...bent, at: 'fault' })).toBe(bent.figure.poses[0]);
    expect(poseAtHand({ ...bent, at: 9 })).toBe(bent.figure.poses[0]);
  });

  it('takes back a whole drag at once, and the next one by itself', () => {
    const dragged = after(
      begin,
      { kind: 'pose', change: bend(5), stroke: 1 },
      { kind: 'pose', change: bend(9), stroke: 1 },
      { kind: 'pose', change: bend(30), stroke: 2 },
    );
    expect(dragged.past).toHaveLength(2);
    expect(sliderOf(poseAtHand(after(dragged, { kind: 'undo' })), 'trunk bent forward')).toBe(9);
  });

  it('forgets what lay ahead when something else is done', () => {
    const other = after(
      begin,
      { kind: 'pose', change: bend(5) },
      { kind: 'undo' },
      { kind: 'set', change: { view: 'front' } },
    );
    expect(other.future).toEqual([]);
    expect(other.figure.view).toBe('front');
  });

  it('holds two to five poses', () => {
    const five = after(begin, ...Array.from({ length: 6 }, () => ({ kind: 'add pose' }) as const));
    expect(five.figure.poses).toHaveLength(5);
    expect(five.figure.names).toHaveLength(5);
    const two = after(five, ...Array.from({ length: 6 }, () => ({ kind: 'remove pose' }) as const));
    expect(two.figure.poses).toHaveLength(2);
  });

  it('lets pushes and places follow their poses', () => {
    const figure = {
      ...begin.figure,
      pushes: [{ from: 'forehead', way: [1, 0, 0], at: [1] } as const],
      stages: { by: 'direction', at: [{ pose: 0 }, { pose: 1 }] } as const,
    };
    const more = after(openStudio(figure), { kind: 'add pose' });
    expect(more.figure.pushes[0]?.at).toEqual([2]);
    expect(more.figure.stages?.at.map(({ pose }) => pose)).toEqual([0, 2]);
    const moved = after(more, { kind: 'at', at: 2 }, { kind: 'move pose', by: -1 });
    expect(moved.figure.pushes[0]?.at).toEqual([1]);
    expect(moved.at).toBe(1);
    const gone = after(moved, { kind: 'remove pose' });
    expect(gone.figure.pushes).toEqual([]);
    expect(gone.figure.stages?.at.map(({ pose }) => pose)).toEqual([0]);
  });

  it('moves a pose to either end, and no further', () => {
    const names = ({ figure, at }: Studio) => [figure.names.join(' '), at];
    const three = openStudio({
      ...begin.figure,
      poses: [BASE_POSES.sitting, BASE_POSES.standing, BASE_POSES.kneeling],
      names: ['sits', 'stands', 'kneels'],
    });
    const first = after(three, { kind: 'at', at: 1 }, { kind: 'move pose', by: -1 });
    expect(names(first)).toEqual(['stands sits kneels', 0]);
    expect(first.figure.poses[0]).toEqual(BASE_POSES.standing);
    expect(names(after(first, { kind: 'move pose', by: -1 }))).toEqual(names(first));
    const last = after(three, { kind: 'at', at: 1 }, { kind: 'move pose', by: 1 });
    expect(names(last)).toEqual(['sits kneels stands', 2]);
    expect(names(after(last, { kind: 'move pose', by: 1 }))).toEqual(names(last));
  });

  it('draws a fault beside the right form, and leaves it out again', () => {
    const fault = after(
      begin,
      { kind: 'add fault' },
      { kind: 'name', name: 'r' },
      { kind: 'name', name: 'rounded' },
      { kind: 'pose', change: bend(40) },
    );
    expect(fault.figure.fault?.name).toBe('rounded');
    expect(nameAtHand(fault)).toBe('rounded');
    expect(nameAtHand(after(fault, { kind: 'at', at: 1 }))).toBe(fault.figure.names[1]);
    expect(sliderOf(poseAtHand(fault), 'trunk bent forward')).toBe(40);
    expect(fault.figure.poses[0]).toBe(begin.figure.poses[0]);
    // Of three poses none goes while the fault is at hand.
    const three = after(
      begin,
      { kind: 'add pose' },
      { kind: 'add fault' },
      { kind: 'remove pose' },
    );
    expect([three.at, three.figure.poses.length]).toEqual(['fault', 3]);
    const without = after(fault, { kind: 'remove fault' });
    expect([without.figure.fault, without.at]).toEqual([null, 0]);
    // Its name was typed in one step.
    expect(fault.past).toHaveLength(3);
    expect(after(fault, { kind: 'undo' }, { kind: 'undo' }, { kind: 'undo' }).at).toBe(0);
  });

  it('mirrors the pose at hand', () => {
    const turned = after(
      begin,
      { kind: 'pose', change: (pose) => setSlider(pose, 'head turned right', 30) },
      { kind: 'mirror' },
    );
    expect(sliderOf(poseAtHand(turned), 'head turned right')).toBe(-30);
  });

  it('leaves no step for what changes nothing', () => {
    const same = after(begin, { kind: 'pose', change: (pose) => pose }, { kind: 'remove fault' });
    expect(same.past).toEqual([]);
  });
});
