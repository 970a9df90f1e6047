import fc from 'fast-check';
import { millimetres } from '../units';
import {
  KINDS,
  KIND_IDS,
  type MeasurementBody,
  type PhotoMarks,
  type Point,
  activityMean,
  backIndex,
  backIndexBand,
  changeBetween,
  detectableOf,
  forceBand,
  formatMeasure,
  heldFromBelow,
  impossible,
  kilogramForce,
  kindOf,
  marksProblem,
  meanCraniovertebralAngle,
  measurePhoto,
  measuredValue,
  minimalDetectableChange,
  neckIndex,
  neckIndexBand,
  nodPerformanceIndex,
  operatorError,
  overlayAtC7,
  padThickness,
  EPISODE_AREAS,
  chosenProfile,
  ruleOfThumbLoad,
  sideDifference,
  standardError,
  summariseTrials,
  trialsDisagree,
  trunkRatios,
  wedgeFit,
} from '.';

describe('trials', () => {
  it('have mean, spread and deviation', () => {
    expect(summariseTrials([60, 62, 64])).toEqual({ count: 3, mean: 62, sd: 2, spread: 4 });
    expect(summariseTrials([5])?.sd).toBe(0);
    expect(summariseTrials([])).toBeNull();
  });
  it('disagree beyond what the kind allows', () => {
    expect(trialsDisagree([60, 62, 72], { by: 10 })).toBe(true);
    expect(trialsDisagree([60, 62, 70], { by: 10 })).toBe(false);
    expect(trialsDisagree([80, 100], { percent: 20 })).toBe(true);
    expect(trialsDisagree([], { by: 1 })).toBe(false);
  });
});

describe('what counts as a change', () => {
  it('minimal detectable change = 1.96 · √2 · SEM, SEM = SD · √(1 − ICC) (Weir 2005)', () => {
    expect(standardError(5, 0.84)).toBeCloseTo(2, 10);
    expect(minimalDetectableChange(2)).toBeCloseTo(5.5437, 4);
  });
  it('ten seconds more of the lying lift are not a real change (memory)', () => {
    const { margin } = detectableOf('deep-flexor-hold', {});
    expect(changeBetween(14, 24, margin, 'more')).toMatchObject({ difference: 10, real: false });
    expect(changeBetween(14, 32, margin, 'more')).toMatchObject({
      real: true,
      direction: 'better',
    });
  });
  it('two points on the mean of the activities are one (Stratford 1995, at 90 %)', () => {
    const { margin, source } = detectableOf('specific-activities', {});
    expect(changeBetween(4, 6, margin, 'more').real).toBe(true);
    expect(changeBetween(4, 5.7, margin, 'more').real).toBe(false);
    expect(source).toContain('90 %');
  });
  it('is not known where nobody has published it, unless the clinic says', () => {
    const unknown = detectableOf('nod-test', {});
    expect(changeBetween(20, 60, unknown.margin, 'more').real).toBeNull();
    const own = detectableOf('nod-test', { 'nod-test': { margin: { by: 20 }, source: 'ours' } });
    expect(changeBetween(20, 60, own.margin, 'more').real).toBe(true);
  });
  it('is better or worse by the kind, not by the sign', () => {
    expect(changeBetween(60, 40, { by: 10 }, 'less').direction).toBe('better');
    expect(changeBetween(60, 40, { by: 10 }, 'more').direction).toBe('worse');
    expect(changeBetween(60, 40, { by: 10 }, 'neither').direction).toBe('neither');
  });
  it.each([
    ['more', 14.5, 'better'],
    ['more', 13.5, 'worse'],
    ['less', 13.5, 'better'],
    ['less', 14.5, 'worse'],
    ['more', 14, 'neither'],
    ['neither', 15, 'neither'],
  ] as const)(
    'a change of half a unit, %s being better, from 14 to %d is %s',
    (better, now, is) => {
      expect(changeBetween(14, now, null, better).direction).toBe(is);
    },
  );

  it('pain: 2 points or 30 % (Farrar 2001)', () => {
    const { margin } = detectableOf('pain-now', {});
    const important = (then: number, now: number) => changeBetween(then, now, margin, 'less').real;
    expect(important(8, 6)).toBe(true);
    expect(important(8, 6.5)).toBe(false);
    expect(important(3, 2)).toBe(true);
    expect(important(0, 1)).toBe(false);
  });
  it('tells the lesser side, and whether beyond error', () => {
    expect(sideDifference(45, 34, { by: 10 })).toMatchObject({
      difference: -11,
      less: 'right',
      real: true,
    });
    expect(sideDifference(45, 40, { by: 10 }).real).toBe(false);
    expect(sideDifference(45, 45, null)).toMatchObject({ less: null, real: null });
  });
});

/** Centimetres forward and up of C7 as a picture of a person facing right. */
const at = (forward: number, up: number): Point => ({ x: 400 + forward * 10, y: 500 - up * 10 });
const MARKS: PhotoMarks = {
  facing: 'right',
  tragus: at(10, 10),
  c7: at(0, 0),
  shoulder: at(5, -8),
  eye: at(18, 11),
  reference: { kind: 'vertical', a: { x: 100, y: 100 }, b: { x: 100, y: 900 } },
  scale: { a: { x: 50, y: 800 }, b: { x: 250, y: 800 }, millimetres: millimetres(200) },
};

/** Every mark moved by one rule. */
function moved(marks: PhotoMarks, move: (point: Point) => Point): PhotoMarks {
  const line = <T extends { a: Point; b: Point }>(one: T | null): T | null =>
    one && { ...one, a: move(one.a), b: move(one.b) };
  return {
    ...marks,
    tragus: move(marks.tragus),
    c7: move(marks.c7),
    shoulder: marks.shoulder && move(marks.shoulder),
    eye: marks.eye && move(marks.eye),
    reference: line(marks.reference),
    scale: line(marks.scale),
  };
}
const turn =
  (angle: number) =>
  ({ x, y }: Point): Point => ({
    x: x * Math.cos(angle) - y * Math.sin(angle),
    y: x * Math.sin(angle) + y * Math.cos(angle),
  });

describe('a side photo', () => {
  it('ear 10 cm above and 10 cm in front of C7 is 45° (Watson & Trott 1993)', () => {
    const measures = measurePhoto(MARKS);
    expect(measures.craniovertebralAngle).toBeCloseTo(45, 10);
    expect(measures.earToC7).toBeCloseTo(100, 10);
    expect(measures.earToShoulder).toBeCloseTo(50, 10);
    expect(measures.headTilt).toBeCloseTo((Math.atan2(1, 8) * 180) / Math.PI, 10);
    expect(measures.shoulderAngle).toBeCloseTo((Math.atan2(8, 5) * 180) / Math.PI, 10);
    expect(measures.cameraRoll).toBeCloseTo(0, 10);
  });
  it('gives no millimetres without a known length, and takes no roll out without a line', () => {
    const bare = measurePhoto({ ...MARKS, scale: null, reference: null });
    expect(bare.earToC7).toBeNull();
    expect(bare.cameraRoll).toBeNull();
    expect(bare.craniovertebralAngle).toBeCloseTo(45, 10);
  });

  const angles = (marks: PhotoMarks) => {
    const { craniovertebralAngle, headTilt, shoulderAngle, earToC7 } = measurePhoto(marks);
    return [craniovertebralAngle, headTilt, shoulderAngle, earToC7];
  };
  const same = (a: (number | null)[], b: (number | null)[]) =>
    a.forEach((value, index) => expect(value).toBeCloseTo(b[index] ?? NaN, 6));

  const anyMarks = fc
    .record({
      ear: fc.tuple(
        fc.double({ min: -5, max: 15, noNaN: true }),
        fc.double({ min: 3, max: 15, noNaN: true }),
      ),
      level: fc.boolean(),
    })
    .map(({ ear, level }): PhotoMarks => {
      const tragus = at(...ear);
      return {
        ...MARKS,
        tragus,
        eye: { x: tragus.x + 80, y: tragus.y - 9 },
        reference: level
          ? { kind: 'level', a: { x: 100, y: 850 }, b: { x: 700, y: 850 } }
          : MARKS.reference,
      };
    });

  it('keeps every angle and millimetre when the camera is turned', () => {
    fc.assert(
      fc.property(anyMarks, fc.double({ min: -0.7, max: 0.7, noNaN: true }), (marks, angle) => {
        const turned = moved(marks, turn(angle));
        same(angles(turned), angles(marks));
        expect(measurePhoto(turned).cameraRoll).toBeCloseTo((angle * 180) / Math.PI, 6);
      }),
    );
  });
  it('keeps every angle when mirrored, moved or scaled', () => {
    fc.assert(
      fc.property(anyMarks, fc.double({ min: 0.2, max: 5, noNaN: true }), (marks, factor) => {
        const mirrored = moved(marks, ({ x, y }) => ({ x: 1000 - x, y }));
        same(angles({ ...mirrored, facing: 'left' }), angles(marks));
        same(
          angles(moved(marks, ({ x, y }) => ({ x: x * factor + 7, y: y * factor - 3 }))),
          angles(marks),
        );
      }),
    );
  });
  it('does not care which end of a line was marked first', () => {
    const { reference } = MARKS;
    if (!reference) throw new Error('no line');
    const other = { ...reference, a: reference.b, b: reference.a };
    same(angles({ ...MARKS, reference: other }), angles(MARKS));
  });
  it('refuses marks that lie on one spot, and a line of the wrong kind', () => {
    expect(marksProblem(MARKS)).toBeNull();
    expect(marksProblem({ ...MARKS, c7: MARKS.tragus })).toContain('same spot');
    const level = { kind: 'level', a: { x: 0, y: 0 }, b: { x: 10, y: 400 } } as const;
    expect(marksProblem({ ...MARKS, reference: level })).toContain('upright');
  });
  it('lays a second picture over the first at C7, at one scale, turned back and mirrored', () => {
    const other = {
      ...moved(MARKS, ({ x, y }) => turn(0.1)({ x: (1000 - x) / 2, y: y / 2 })),
      facing: 'left' as const,
    };
    const overlay = overlayAtC7(MARKS, other);
    expect(overlay.by).toBe('known length');
    expect(overlay.scale).toBeCloseTo(2, 6);
    expect(overlay.mirror).toBe(true);
    expect(overlay.turn).toBeCloseTo((-0.1 * 180) / Math.PI, 6);
    expect(overlayAtC7(MARKS, { ...other, scale: null }).by).toBe('ear to C7');
  });
  it('marked twice, the mean of both angles counts', () => {
    const other = { ...MARKS, tragus: at(10, 12) };
    const second = measurePhoto(other).craniovertebralAngle;
    expect(meanCraniovertebralAngle([MARKS, other])).toBeCloseTo((45 + second) / 2, 10);
    expect(meanCraniovertebralAngle([])).toBeNull();
  });
  it('two observers’ marks give this pair’s own error', () => {
    // Differences of +1 and −1 degree: √(2 ∕ 4).
    expect(operatorError([1, -1])).toBeCloseTo(Math.SQRT1_2, 10);
    expect(operatorError([])).toBeNull();
  });
});

it('3 in forward is 42 lb in all, 30 of them added (common practice)', () => {
  const load = ruleOfThumbLoad(76.2);
  expect(load.addedPounds).toBeCloseTo(30, 10);
  expect(load.totalPounds).toBeCloseTo(42, 10);
  expect(ruleOfThumbLoad(-20).addedPounds).toBe(0);
});

describe('held from below', () => {
  it('shares the correction out over the steps', () => {
    expect(heldFromBelow({ relaxed: 50, tall: 30, chest: 15 })).toEqual({
      kind: 'share',
      byTall: 40,
      byChest: 30,
      total: 70,
    });
  });
  it('gives no share within error, and none of a head that is not forward', () => {
    expect(heldFromBelow({ relaxed: 10, tall: 0, chest: 0 }).kind).toBe('within error');
    expect(heldFromBelow({ relaxed: 10.1, tall: 0, chest: 0 }).kind).not.toBe('within error');
    expect(heldFromBelow({ relaxed: -40, tall: 0, chest: 0 }).kind).toBe('within error');
  });
});

describe('fitting', () => {
  it('brings ear and shoulder level on the wedge', () => {
    expect(wedgeFit({ wedge: 90, ear: 95, shoulder: 120 })).toMatchObject({
      thickness: 65,
      under: 'trunk',
    });
    expect(wedgeFit({ wedge: 20, ear: 80, shoulder: 150 })).toMatchObject({
      thickness: 50,
      under: 'head',
    });
    expect(wedgeFit({ wedge: 60, ear: 90, shoulder: 148 }).under).toBe('nothing');
  });
  it('never makes the pad thicker than the wall gap', () => {
    expect(padThickness(47)).toBe(45);
    fc.assert(
      fc.property(fc.double({ min: 0, max: 250, noNaN: true }), (gap) => {
        expect(padThickness(gap)).toBeLessThanOrEqual(gap);
      }),
    );
  });
});

describe('control and strength', () => {
  it('performance index = rise × holds (Jull 2008, memory)', () => {
    expect(nodPerformanceIndex(24, 6)).toBe(24);
    expect(nodPerformanceIndex(30, 10)).toBe(100);
  });
  it('trunk holds stand to each other as in healthy adults, or not (memory)', () => {
    const rows = trunkRatios({ flexor: 120, extensor: 100, left: 60, right: 80 });
    expect(rows.map((row) => [row.name, Number(row.ratio.toFixed(2)), row.unusual])).toEqual([
      ['Front to back', 1.2, true],
      ['Right to left side', 1.33, true],
      ['Left side to back', 0.6, false],
      ['Right side to back', 0.8, true],
    ]);
    expect(trunkRatios({ flexor: 1, extensor: 0, left: null, right: 2 })).toEqual([]);
    // However short the second was held, it was.
    expect(trunkRatios({ flexor: 2, extensor: 1, left: null, right: null })).toMatchObject([
      { name: 'Front to back', ratio: 2, unusual: true },
    ]);
  });
  it('30–50 % of the maximum (common practice), in N and kg', () => {
    expect(forceBand(80)).toEqual({ least: 24, most: 40 });
    expect(kilogramForce(98.0665)).toBeCloseTo(10, 10);
  });
});

describe('scores', () => {
  it('the neck index sums ten sections of 50 (Vernon & Mior 1991)', () => {
    expect(neckIndex([1, 2, 3, 4, 5, 0, 1, 2, 3, 4])).toBe(25);
    expect([4, 4.4, 5, 14, 15, 24, 25, 34, 35].map(neckIndexBand)).toEqual([
      'no disability',
      'no disability',
      'mild',
      'mild',
      'moderate',
      'moderate',
      'severe',
      'severe',
      'complete',
    ]);
  });
  it('is pro rata with one or two missing, refused with three (memory)', () => {
    expect(neckIndex([2, 2, 2, 2, 2, 2, 2, 2, null, null])).toBe(20);
    expect(neckIndex([2, 2, 2, 2, 2, 2, 2, null, null, null])).toBeNull();
  });
  it('the low-back index divides by the sections answered (Fairbank & Pynsent 2000)', () => {
    expect(backIndex([1, 1, 1, 1, 1, 1, 1, null, 1, 1])).toBe(20);
    expect(backIndex(Array<null>(10).fill(null))).toBeNull();
    expect([20, 21, 40, 60, 80, 81].map(backIndexBand)).toEqual([
      'minimal',
      'moderate',
      'moderate',
      'severe',
      'very severe',
      'complete',
    ]);
  });
  it('the mean of three to five activities (Stratford 1995)', () => {
    const some = (count: number) =>
      Array.from({ length: count }, (_, index) => ({ name: 'x', score: index }));
    expect(activityMean(some(3))).toBe(1);
    expect(activityMean(some(5))).toBe(2);
    expect([activityMean(some(2)), activityMean(some(6))]).toEqual([null, null]);
  });
});

describe('kinds', () => {
  it('have the neck’s and back’s range of the AMA Guides (memory)', () => {
    const norms = (
      [
        'neck-flexion',
        'neck-extension',
        'neck-side-bend',
        'neck-turn',
        'back-flexion',
        'back-extension',
        'back-side-bend',
      ] as const
    ).map((id) => kindOf(id).norm?.value);
    expect(norms).toEqual([50, 60, 45, 80, 60, 25, 25]);
  });
  it('each names where its detectable change comes from, and how far trials may differ', () => {
    for (const id of KIND_IDS) {
      const kind = kindOf(id);
      expect(kind.detectable.source.length).toBeGreaterThan(3);
      if (kind.trials === 3) expect([id, kind.agree]).not.toEqual([id, undefined]);
      if (kind.form === 'choice') expect(kind.options?.length).toBeGreaterThan(1);
    }
  });
  it('refuse impossible values, with the range', () => {
    expect(impossible('neck-turn', 250)).toBe(
      'Neck turn is between 0 and 180°; 250 is not possible.',
    );
    expect(impossible('pain-now', 11)).toContain('between 0 and 10 of 10');
    expect(impossible('neck-turn', 80)).toBeNull();
    expect(formatMeasure('neck-turn', 61.6)).toBe('62°');
    expect(formatMeasure('deep-flexor-hold', 14.26)).toBe('14.3 s');
  });
  it.each<[keyof typeof KINDS, number[], MeasurementBody | null, number | null]>([
    ['neck-turn', [60, 62, 64], null, 62],
    ['neck-turn', [], null, null],
    ['step-feel', [], { form: 'choice', option: 'no step felt' }, null],
    ['held-from-below', [], { form: 'offsets', relaxed: 50, tall: 30, chest: 15 }, 70],
    ['wedge-fit', [], { form: 'wedge', wedge: 20, ear: 80, shoulder: 150 }, -50],
    ['nod-test', [], { form: 'cuff', target: 24, holds: 6 }, 24],
    ['blood-pressure', [], { form: 'pressure', systolic: 140, diastolic: 90 }, 140],
    ['limb-symptoms', [], { form: 'body', regions: ['front right elbow'], movements: [] }, 3],
    ['limb-symptoms', [], { form: 'body', regions: [], movements: [] }, -1],
    ['back-index', [], { form: 'sections', scores: [1, 1, 1, 1, 1, 1, 1, 1, 1, 1] }, 20],
    ['neck-index', [], { form: 'sections', scores: [1, 1, 1, 1, 1, 1, 1, 1, 1, 1] }, 10],
  ])('%s %j %j comes to %p', (kind, trials, body, value) => {
    expect(measuredValue(kind, trials, body)).toBe(value);
  });
  it('take the profile from what somebody chose, and from nothing else', () => {
    expect(EPISODE_AREAS.map(chosenProfile)).toEqual(['neck', 'back', 'posture', null]);
    expect(chosenProfile(null)).toBeNull();
  });
});
