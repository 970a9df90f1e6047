import type { MarkName } from './marks';
import type { Bend, Contact, LimbPose, Pair, Pose } from './pose';
import type { Vec } from './vector';

export function mirrorVec([x, y, z]: Vec): Vec {
  // `0 - z` rather than `-z`: a nought stays a nought.
  return [x, y, 0 - z];
}

export function mirrorMark(name: MarkName): MarkName {
  if (name.endsWith('Right')) return name.replace(/Right$/, 'Left') as MarkName;
  return name.replace(/Left$/, 'Right') as MarkName;
}

function mirrorBend({ flex, side, turn }: Bend): Bend {
  return { flex, side: 0 - side, turn: 0 - turn };
}

function mirrorLimb(limb: LimbPose): LimbPose {
  if (limb.by === 'angles') return limb;
  const { to, offset, pole, flat, faces, shape } = limb;
  return {
    by: 'goal',
    ...(shape ? { shape } : {}),
    ...(faces ? { faces: mirrorVec(faces) } : {}),
    to: typeof to === 'string' ? mirrorMark(to) : mirrorVec(to),
    pole: mirrorVec(pole),
    ...(offset ? { offset: mirrorVec(offset) } : {}),
    ...(flat ? { flat: mirrorVec(flat) } : {}),
  };
}

function swap<T>({ right, left }: Pair<T>, each: (one: T) => T): Pair<T> {
  return { right: each(left), left: each(right) };
}

/** The same pose of the other side: what the right did, the left does. */
export function mirrorPose(pose: Pose): Pose {
  const contact = (one: Contact): Contact => ({ ...one, mark: mirrorMark(one.mark) });
  return {
    pelvis: mirrorBend(pose.pelvis),
    lumbar: mirrorBend(pose.lumbar),
    thorax: mirrorBend(pose.thorax),
    neck: mirrorBend(pose.neck),
    head: mirrorBend(pose.head),
    jaw: pose.jaw,
    blades: swap(pose.blades, (blade) => blade),
    arms: swap(pose.arms, mirrorLimb),
    legs: swap(pose.legs, mirrorLimb),
    contacts: pose.contacts.map(contact),
  };
}
