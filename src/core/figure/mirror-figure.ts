import { mirrorMark, mirrorPose, mirrorVec } from './body';
import { mirrorProp } from './drawing/mirror-prop';
import type { Figure, Lit } from './figure';

const OTHER = { right: 'left', left: 'right' } as const;

export function mirrorLit(lit: Lit): Lit {
  return lit.side ? { ...lit, side: OTHER[lit.side] } : lit;
}

/**
 * The same figure the other way round: for one that was made as it looks on the left, where a figure
 * is described for the right.
 */
export function mirrorFigure(figure: Figure): Figure {
  const [first, second, ...others] = figure.poses;
  return {
    ...figure,
    poses: [mirrorPose(first), mirrorPose(second), ...others.map(mirrorPose)],
    props: figure.props.map(mirrorProp),
    lit: figure.lit.map(mirrorLit),
    pushes: figure.pushes.map((push) => ({
      ...push,
      from: mirrorMark(push.from),
      way: mirrorVec(push.way),
      ...(push.turn ? { turn: OTHER[push.turn] } : {}),
    })),
    fault: figure.fault && { ...figure.fault, pose: mirrorPose(figure.fault.pose) },
  };
}
