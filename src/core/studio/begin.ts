import { type Base, BASE_POSES, type DrawnProp, type Figure, MOST_OWN_POSES } from '../figure';

/** What somebody sits, lies or kneels on. */
const UNDER: Readonly<Record<Base, readonly DrawnProp[]>> = {
  standing: [],
  sitting: [{ kind: 'chair' }],
  lying: [{ kind: 'mat', x: [-86, 92] }],
  'lying long': [{ kind: 'mat', x: [-92, 92] }],
  'face down': [{ kind: 'mat', x: [-92, 92] }],
  'hands and knees': [{ kind: 'mat', x: [-50, 92] }],
  kneeling: [{ kind: 'mat', x: [-60, 40] }],
  'half kneeling': [{ kind: 'mat', x: [-60, 60] }],
  'on the side': [{ kind: 'mat', x: [-92, 92] }],
};

/** A drawing to begin with: one position twice, nothing done yet. */
export function bareFigure(base: Base): Figure {
  const pose = BASE_POSES[base];
  return {
    view: base === 'on the side' ? 'front' : 'side',
    crop: 'whole',
    poses: [pose, pose],
    path: 'back',
    names: ['Start', 'There'],
    props: UNDER[base],
    lit: [],
    pushes: [],
    fault: null,
    stages: null,
  };
}

/** A drawing to begin with: one that is there, as much of it as a clinic's own may have. */
export function figureFrom(figure: Figure): Figure {
  if (figure.poses.length <= MOST_OWN_POSES) return figure;
  const [first, second, ...others] = figure.poses;
  return {
    ...figure,
    poses: [first, second, ...others.slice(0, MOST_OWN_POSES - 2)],
    names: figure.names.slice(0, MOST_OWN_POSES),
    pushes: figure.pushes.flatMap((push) => {
      const at = push.at?.filter((number) => number < MOST_OWN_POSES);
      return at === undefined ? [push] : at.length > 0 ? [{ ...push, at }] : [];
    }),
    // Some of its places are gone.
    stages: null,
  };
}
