import { arcSine } from '../../units';
import type { Bend, Limb, Pose } from './pose';
import { limbTurn } from './frame';
import { skeletonOf } from './skeleton';
import { turn } from './vector';

type Limits = Readonly<Record<string, readonly [least: number, most: number]>>;

/**
 * How far joints go, in degrees. Neck and low back together keep within the AMA Guides' ranges
 * (neck 50° forward, 60° back, 45° to the side, 80° turned; from memory), shared out over their
 * joints by us with room for the extremes of a fault drawn beside the right form; limbs are common
 * textbook ranges (from memory).
 */
const SPINE: Readonly<Record<'lumbar' | 'thorax' | 'neck' | 'head', Limits>> = {
  lumbar: { flex: [-35, 65], side: [-30, 30], turn: [-15, 15] },
  thorax: { flex: [-30, 45], side: [-30, 30], turn: [-45, 45] },
  // Counted from the slope of 25° that is neutral when upright.
  neck: { flex: [-30, 65], side: [-35, 35], turn: [-45, 45] },
  head: { flex: [-75, 25], side: [-20, 20], turn: [-50, 50] },
};

const ARM: Limits = { bend: [0, 155], end: [-90, 90] };
/** An arm may go so far behind the trunk: hanging, and lifted above the shoulder. */
const ARM_BEHIND = { low: 70, high: 50 } as const;
/** And so far across it. */
const ARM_ACROSS = 65;
const LEG: Limits = { forward: [-35, 135], out: [-35, 60], bend: [0, 155], end: [-75, 35] };

/** A joint that is bent beyond a person's range: which one, which way, and how far in degrees. */
export type Beyond = { readonly joint: string; readonly way: string; readonly degrees: number };

/** The joints of a pose that are beyond a person's range, each in words; empty when none is. */
export function beyondRange(pose: Pose): string[] {
  return jointsBeyond(pose).map(
    ({ joint, way, degrees: by }) => `${joint}: ${way} ${Math.round(by)}°`,
  );
}

/** The joints of a pose that are beyond a person's range; empty when none is. */
export function jointsBeyond(pose: Pose): Beyond[] {
  const { arms, legs } = skeletonOf(pose);
  const spine = (Object.keys(SPINE) as (keyof typeof SPINE)[]).flatMap((joint) =>
    outside(joint, pose[joint], SPINE[joint]),
  );
  const limbs = (['right', 'left'] as const).flatMap((side) => [
    ...outside(`${side} arm`, arms[side], ARM),
    ...armBeyond(side, arms[side]),
    ...outside(`${side} leg`, legs[side], LEG),
  ]);
  return [...spine, ...limbs];
}

/**
 * Where the upper arm points, not its three angles: those jump where an arm goes straight out.
 */
function armBeyond(side: 'right' | 'left', limb: Limb): Beyond[] {
  const [x, y, z] = turn(limbTurn(limb, side === 'right' ? 1 : -1), [0, -1, 0]);
  const behind = degrees(arcSine(-x));
  const across = degrees(arcSine(side === 'right' ? -z : z));
  const most = y < 0.2 ? ARM_BEHIND.low : ARM_BEHIND.high;
  return [
    ...(behind > most ? [{ joint: `${side} arm`, way: 'behind', degrees: behind }] : []),
    ...(across > ARM_ACROSS ? [{ joint: `${side} arm`, way: 'across', degrees: across }] : []),
  ];
}

const degrees = (radians: number) => (radians * 180) / Math.PI;

function outside(joint: string, angles: Bend | Limb, limits: Limits): Beyond[] {
  return Object.entries(limits).flatMap(([name, [least, most]]) => {
    const value = (angles as Readonly<Record<string, number | string>>)[name];
    if (typeof value !== 'number' || (value >= least - 0.01 && value <= most + 0.01)) return [];
    return [{ joint, way: name, degrees: value }];
  });
}
