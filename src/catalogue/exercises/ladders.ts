import type { Exercise } from '@/core/exercise';

/**
 * Which exercises are steps of one another, easiest first: each keeps what the one before was for.
 * What stands in no ladder stands beside the stairs: it is another exercise, not a harder one. Common
 * practice, no source.
 */
export const LADDERS: Readonly<Record<string, readonly string[]>> = {
  'front of the neck: gravity out, then in': [
    'nod-on-ball',
    'tuck-lying',
    'nod-hold-finger-check',
    'tuck-lighten',
    'tuck-lift',
    'lift-over-ball',
  ],
  'tuck upright: added movement': [
    'tuck-seated',
    'tuck-to-wall',
    'tuck-small-nod',
    'tuck-turn-nod',
  ],
  'tuck: added resistance': [
    'cheekbone-nod',
    'skull-base-tuck',
    'forehead-tuck',
    'under-jaw-tuck',
    'band-lengthening',
    'band-lengthening-nod',
    'band-lengthening-turn',
  ],
  'tuck on hands and knees: added movement': [
    'tuck-hands-knees',
    'hands-knees-nod',
    'hands-knees-turn',
  ],
  'tuck over the bench edge: lever, then load': [
    'tuck-bench-edge',
    'bench-edge-arms',
    'bench-edge-weight',
  ],
  'pushes in every direction': ['six-way-hold', 'four-way-ball', 'resisted-range'],
  'long holds of the back of the neck': ['prone-neck-hold', 'wall-press'],
  'curve of the neck, sitting': ['neck-base-press', 'rolled-cloth'],
  'curve of the neck on the wedge': ['wedge-lying', 'wedge-press', 'wedge-look-over'],
  'upper back: opening further': ['clasp-and-open', 'block-opening'],
  'blade control': ['blade-set', 'wall-slide', 'wall-angel'],
  'arms face down: longer levers': ['prone-w', 'prone-arms-wide', 'prone-y'],
  'blade pull': ['band-row', 'band-pull'],
  'median nerve': ['median-slider', 'median-tensioner'],
  'ulnar nerve': ['ulnar-slider', 'ulnar-tensioner'],
  'radial nerve': ['radial-slider', 'radial-tensioner'],
  'sciatic nerve': ['sciatic-slider', 'sciatic-tensioner'],
  'femoral nerve': ['femoral-slider', 'femoral-tensioner'],
  'reach on hands and knees: one limb, then opposite limbs': ['leg-reach', 'hands-knees-reach'],
  'side of the trunk: knees, then legs': ['side-plank', 'side-plank-legs'],
  'front of the trunk: knees, then legs': ['front-plank-knees', 'front-plank'],
  'rising by the legs': ['sit-to-stand', 'squat'],
  'hip to the side: longer lever': ['clamshell', 'side-leg-lift'],
  'bending back in stages': ['face-down-lying', 'forearm-prop', 'press-up', 'standing-back-bend'],
  'bending forward in stages': ['knees-to-chest', 'sitting-bend', 'standing-bend'],
  'sitting tall through the day': ['sit-tall', 'posture-reset'],
};

const LADDER_OF: ReadonlyMap<string, string> = new Map(
  Object.entries(LADDERS).flatMap(([ladder, ids]) => ids.map((id) => [id, ladder] as const)),
);

/** A shipped exercise with the ladder it is a step of. */
export function onLadder(exercise: Exercise): Exercise {
  return { ...exercise, ladder: LADDER_OF.get(exercise.id) ?? null };
}

/**
 * A clinic's own exercise on the ladder of the shipped one next to it: of its family and purpose, the
 * nearest step. Without one it stands beside the stairs.
 */
export function ownOnLadder<One extends Exercise>(own: One, shipped: readonly Exercise[]): One {
  const alike = shipped
    .filter(({ family, purpose, ladder }) => {
      return family === own.family && purpose === own.purpose && ladder !== null;
    })
    .sort((a, b) => Math.abs(a.rung - own.rung) - Math.abs(b.rung - own.rung));
  return { ...own, ladder: alike[0]?.ladder ?? null };
}
