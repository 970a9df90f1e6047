/** Levels examined, with the movement and skin that stand for each. Textbook facts. */
export const NERVE_LEVELS = [
  { level: 'C5', moves: 'lift the arm sideways', feels: 'outer upper arm', reflex: 'biceps' },
  {
    level: 'C6',
    moves: 'bend the elbow, lift the wrist',
    feels: 'thumb side of forearm',
    reflex: 'brachioradialis',
  },
  { level: 'C7', moves: 'straighten the elbow', feels: 'middle finger', reflex: 'triceps' },
  { level: 'C8', moves: 'bend the fingers', feels: 'little finger', reflex: null },
  { level: 'T1', moves: 'spread the fingers', feels: 'inner forearm', reflex: null },
  { level: 'L2', moves: 'bend the hip', feels: 'front of thigh', reflex: null },
  { level: 'L3', moves: 'straighten the knee', feels: 'inner knee', reflex: 'knee' },
  { level: 'L4', moves: 'lift the foot', feels: 'inner shin', reflex: 'knee' },
  { level: 'L5', moves: 'lift the big toe', feels: 'top of the foot', reflex: null },
  { level: 'S1', moves: 'push the foot down', feels: 'outer foot', reflex: 'ankle' },
] as const;
export type NerveLevel = (typeof NERVE_LEVELS)[number]['level'];

export const FEELINGS = ['normal', 'reduced', 'absent'] as const;
export const REFLEXES = ['normal', 'reduced', 'absent', 'brisk'] as const;

/** Provocation and easing positions; each may be positive on either side. */
export const TENSION_TESTS = [
  'median nerve tension',
  'ulnar nerve tension',
  'radial nerve tension',
  'neck compression to the side',
  'hand on head eases',
  'neck traction eases',
  'straight leg raise',
  'slump sitting',
] as const;
export type TensionTest = (typeof TENSION_TESTS)[number];

export type LevelFinding = {
  readonly level: NerveLevel;
  readonly side: 'left' | 'right';
  /** 0–5 by the Medical Research Council's scale; null when not tested. */
  readonly strength: number | null;
  readonly feeling: (typeof FEELINGS)[number] | null;
  readonly reflex: (typeof REFLEXES)[number] | null;
};

export type NerveExamination = {
  readonly levels: readonly LevelFinding[];
  readonly tension: readonly {
    readonly test: TensionTest;
    readonly side: 'left' | 'right';
    readonly positive: boolean;
  }[];
};

/** How many things are not as they should be: weak, reduced or absent feeling, changed reflex. */
export function nerveDeficits({ levels }: NerveExamination): number {
  return levels.reduce(
    (sum, { strength, feeling, reflex }) =>
      sum +
      Number(strength !== null && strength < 5) +
      Number(feeling !== null && feeling !== 'normal') +
      Number(reflex !== null && reflex !== 'normal'),
    0,
  );
}

export type NerveChange = {
  /** Weaker than before, or weak where nothing was known before. */
  readonly weaker: readonly string[];
  readonly stronger: readonly string[];
  readonly lessFeeling: readonly string[];
  readonly moreFeeling: readonly string[];
};

/**
 * What changed from one examination to the next, level by level. Weakness found where nothing was
 * tested before counts as new: nobody can say that it was there. Less pain does not enter.
 *
 * @param before null when this is the first examination
 */
export function nerveChange(before: NerveExamination | null, now: NerveExamination): NerveChange {
  const change = {
    weaker: [] as string[],
    stronger: [] as string[],
    lessFeeling: [] as string[],
    moreFeeling: [] as string[],
  };
  for (const finding of now.levels) {
    const then = before?.levels.find(
      (one) => one.level === finding.level && one.side === finding.side,
    );
    const name = `${finding.level} ${finding.side}`;
    if (finding.strength !== null) {
      const was = then?.strength ?? 5;
      if (finding.strength < was) change.weaker.push(`${name}: ${was} → ${finding.strength}`);
      else if (finding.strength > was)
        change.stronger.push(`${name}: ${was} → ${finding.strength}`);
    }
    if (finding.feeling !== null) {
      const order = FEELINGS.indexOf(finding.feeling);
      const was = FEELINGS.indexOf(then?.feeling ?? 'normal');
      if (order > was) change.lessFeeling.push(name);
      else if (order < was) change.moreFeeling.push(name);
    }
  }
  return change;
}

/** Tests that are positive when they ease, so that they ask for nothing. */
const EASING: readonly TensionTest[] = ['hand on head eases', 'neck traction eases'];

/** Positive provocation tests with their side; those that ease are left out. */
export function positiveTension({
  tension,
}: NerveExamination): { readonly test: TensionTest; readonly side: 'left' | 'right' }[] {
  return tension
    .filter(({ positive, test }) => positive && !EASING.includes(test))
    .map(({ test, side }) => ({ test, side }));
}
