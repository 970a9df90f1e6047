import {
  ARM_CHAIN,
  LEG_CHAIN,
  type NerveExamination,
  REGIONS,
  directionalPreference,
  furthestReach,
  irritability,
  isRegion,
  nerveChange,
  nerveDeficits,
  partOf,
  positiveTension,
  reachChange,
} from '.';

describe('irritability', () => {
  it('is reckoned from how little, how bad, how long (common practice)', () => {
    expect(
      irritability({ provokedBy: 'hard or long effort', worst: 3, settlesWithin: 'minutes' }),
    ).toMatchObject({ level: 'low', points: 0 });
    expect(
      irritability({ provokedBy: 'ordinary movement', worst: 5, settlesWithin: 'hours' }).level,
    ).toBe('moderate');
    expect(
      irritability({ provokedBy: 'almost nothing', worst: 1, settlesWithin: 'days' }).level,
    ).toBe('high');
  });
});

describe('where it is felt', () => {
  it('is ordered from the spine to fingers and toes', () => {
    expect(ARM_CHAIN).toHaveLength(7);
    expect(LEG_CHAIN).toHaveLength(7);
    expect(
      furthestReach(['front right elbow', 'back right neck', 'back left thigh', 'front left head']),
    ).toEqual([
      { chain: 'arm', order: 3, part: 'elbow' },
      { chain: 'leg', order: 2, part: 'thigh' },
    ]);
    expect(furthestReach([])).toEqual([]);
  });
  it('has every place once', () => {
    expect(new Set(REGIONS).size).toBe(REGIONS.length);
    expect(isRegion('back left upper arm')).toBe(true);
    expect(partOf('back left upper arm')).toBe('upper arm');
    expect(isRegion('back left chest')).toBe(false);
  });
  it('draws in, spreads, or stays', () => {
    expect(reachChange(5, 3)).toBe('drawing in');
    expect(reachChange(5, null)).toBe('drawing in');
    expect(reachChange(null, 2)).toBe('spreading');
    expect(reachChange(3, 3)).toBe('no effect');
  });
  it('prefers a direction only when it never spread', () => {
    expect(
      directionalPreference([
        { movement: 'press-up lying', effect: 'drawing in' },
        { movement: 'bend forward standing', effect: 'spreading' },
        { movement: 'tuck', effect: 'drawing in' },
        { movement: 'tuck', effect: 'spreading' },
      ]),
    ).toEqual(['press-up lying']);
  });
});

describe('nerve examination', () => {
  const exam = (strength: number | null, feeling: 'normal' | 'reduced' | null = null) =>
    ({
      levels: [{ level: 'C7', side: 'right', strength, feeling, reflex: null }],
      tension: [
        { test: 'median nerve tension', side: 'right', positive: true },
        { test: 'hand on head eases', side: 'right', positive: true },
        { test: 'slump sitting', side: 'left', positive: false },
      ],
    }) satisfies NerveExamination;

  it('calls weakness new when it grew, or when nothing was known before', () => {
    expect(nerveChange(exam(5), exam(4)).weaker).toEqual(['C7 right: 5 → 4']);
    expect(nerveChange(null, exam(4)).weaker).toEqual(['C7 right: 5 → 4']);
    expect(nerveChange(exam(null), exam(3)).weaker).toHaveLength(1);
    expect(nerveChange(exam(4), exam(4)).weaker).toEqual([]);
    expect(nerveChange(exam(3), exam(4)).stronger).toEqual(['C7 right: 3 → 4']);
    expect(nerveChange(exam(4), exam(null)).weaker).toEqual([]);
  });
  it('follows feeling the same way, and counts what is not as it should be', () => {
    expect(nerveChange(exam(5, 'normal'), exam(5, 'reduced')).lessFeeling).toEqual(['C7 right']);
    expect(nerveChange(exam(5, 'reduced'), exam(5, 'normal')).moreFeeling).toEqual(['C7 right']);
    expect(nerveDeficits(exam(4, 'reduced'))).toBe(2);
    expect(nerveDeficits(exam(5, 'normal'))).toBe(0);
  });
  it('names positive tension tests, not easing ones', () => {
    expect(positiveTension(exam(5))).toEqual([{ test: 'median nerve tension', side: 'right' }]);
  });
});
