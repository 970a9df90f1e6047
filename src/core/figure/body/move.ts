import type { Bend, Contact, Goal, Limb, LimbPose, Pair, Pose } from './pose';
import { anglesOf } from './reach';
import { limbTurn, markAt } from './frame';
import { skeletonOf } from './skeleton';
import { type Vec, between, slerp, turn } from './vector';

const mix = (a: number, b: number, share: number) => a + (b - a) * share;

function mixBend(a: Bend, b: Bend, share: number): Bend {
  return {
    flex: mix(a.flex, b.flex, share),
    side: mix(a.side, b.side, share),
    turn: mix(a.turn, b.turn, share),
  };
}

/**
 * A body part of the way from one pose to another.
 *
 * Spine and jaw go evenly; a hand or foot that is on the same thing in both poses stays on it; one
 * that goes from place to place in the room goes straight; any other limb turns the shorter way.
 *
 * @param share 0 is `from`, 1 is `to`
 */
export function poseBetween(from: Pose, to: Pose, share: number): Pose {
  if (share <= 0) return from;
  if (share >= 1) return to;
  const limb = limbMixer(from, to, share);
  return {
    pelvis: mixBend(from.pelvis, to.pelvis, share),
    lumbar: mixBend(from.lumbar, to.lumbar, share),
    thorax: mixBend(from.thorax, to.thorax, share),
    neck: mixBend(from.neck, to.neck, share),
    head: mixBend(from.head, to.head, share),
    jaw: mix(from.jaw, to.jaw, share),
    blades: pairOf((side) => ({
      up: mix(from.blades[side].up, to.blades[side].up, share),
      back: mix(from.blades[side].back, to.blades[side].back, share),
    })),
    arms: pairOf((side) => limb('arms', side)),
    legs: pairOf((side) => limb('legs', side)),
    contacts: mixContacts(from, to, share),
  };
}

function pairOf<T>(make: (side: 'right' | 'left') => T): Pair<T> {
  return { right: make('right'), left: make('left') };
}

/**
 * A contact both poses have keeps its mark; its plane may move, as a mattress that gives way. Where
 * another mark carries the body in the other pose, the first one goes to where it is then, so that
 * nothing floats on the way.
 */
function mixContacts(from: Pose, to: Pose, share: number): Contact[] {
  let then: ReturnType<typeof skeletonOf> | null = null;
  const axes = new Set<Contact['axis']>();
  return from.contacts.flatMap((one): Contact[] => {
    const other = to.contacts.find(({ mark, axis }) => mark === one.mark && axis === one.axis);
    const carries = !axes.has(one.axis);
    if (other) {
      axes.add(one.axis);
      return [{ ...one, at: mix(one.at, other.at, share) }];
    }
    const kept = from.contacts.some(
      ({ mark, axis }) =>
        axis === one.axis && to.contacts.some((it) => it.mark === mark && it.axis === axis),
    );
    if (!carries || kept) return [];
    axes.add(one.axis);
    then ??= skeletonOf(to);
    const at = markAt(then.frames, one.mark)[one.axis === 'x' ? 0 : 1];
    return [{ ...one, at: mix(one.at, at, share) }];
  });
}

function limbMixer(from: Pose, to: Pose, share: number) {
  // Reckoned once, and only when a limb changes what holds it.
  let ends: { from: ReturnType<typeof skeletonOf>; to: ReturnType<typeof skeletonOf> } | null =
    null;
  const solved = () => (ends ??= { from: skeletonOf(from), to: skeletonOf(to) });
  return (which: 'arms' | 'legs', side: 'right' | 'left'): LimbPose => {
    const [a, b] = [from[which][side], to[which][side]];
    const shaped = share < 0.5 ? a.shape : b.shape;
    const shape = shaped ? { shape: shaped } : {};
    const goal = a.by === 'goal' && b.by === 'goal' ? mixGoal(a, b, share) : null;
    if (goal) return { by: 'goal', ...goal, ...shape };
    const first = a.by === 'angles' ? a : solved().from[which][side];
    const last = b.by === 'angles' ? b : solved().to[which][side];
    return { by: 'angles', ...mixLimb(first, last, share, side === 'right' ? 1 : -1), ...shape };
  };
}

function mixGoal(a: Goal, b: Goal, share: number): Goal | null {
  const to = mixPlace(a.to, b.to, share);
  const alike = (of: 'flat' | 'faces') => (a[of] === undefined) === (b[of] === undefined);
  if (to === null || !alike('flat') || !alike('faces')) return null;
  return {
    to,
    pole: between(a.pole, b.pole, share),
    ...(a.offset || b.offset
      ? { offset: between(a.offset ?? [0, 0, 0], b.offset ?? [0, 0, 0], share) }
      : {}),
    ...(a.flat && b.flat ? { flat: between(a.flat, b.flat, share) } : {}),
    ...(a.faces && b.faces ? { faces: between(a.faces, b.faces, share) } : {}),
  };
}

function mixPlace(a: Goal['to'], b: Goal['to'], share: number): Goal['to'] | null {
  if (typeof a === 'string' || typeof b === 'string') return a === b ? a : null;
  return between(a, b, share);
}

function mixLimb(a: Limb, b: Limb, share: number, hand: 1 | -1): Limb {
  const mixed = slerp(limbTurn(a, hand), limbTurn(b, hand), share);
  const upper: Vec = turn(mixed, [0, -1, 0]);
  const front: Vec = turn(mixed, [1, 0, 0]);
  return {
    ...anglesOf(upper, front, hand),
    bend: mix(a.bend, b.bend, share),
    end: mix(a.end, b.end, share),
    twist: a.twist + nearestTurn(b.twist - a.twist) * share,
    tilt: mix(a.tilt, b.tilt, share),
  };
}

/** The same turn, the shorter way round. */
const nearestTurn = (degrees: number) => degrees - 360 * Math.round(degrees / 360);
