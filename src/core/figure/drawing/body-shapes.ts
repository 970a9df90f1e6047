import { itemAt } from '../../units';
import type { HandShape, Pose, Skeleton } from '../body';
import type { View } from '../figure';
import type { BodyRings } from '../surface/body-rings';
import { footShape } from '../surface/foot';
import { handShape } from '../surface/hand';
import { SHORTS_SECTIONS, shoulderRing } from '../surface/limbs';
import { type Ring, beadsOf, edgesOf, rimOf } from '../surface/section';
import { bodyLines } from './body-lines';
import { boneOutline, limbOutline, ribbon } from './limb-outline';
import { type Keep, keepNothing, numbersOf } from '../keep';
import { capsule, chain, disc } from './outline';
import type { Layers } from './region-shapes';
import type { Shape, Tone } from './shape';
import type { Camera, Seen } from './view';

const SIDES = ['Right', 'Left'] as const;
type Side = (typeof SIDES)[number];

/** A leg this much nearer than the trunk is drawn over it, not as one with it. */
const BEFORE_CM = 9;
/** From the side, a leg this much farther off than the other is drawn as the far one. */
const FAR_CM = 8;
/** A knee this much nearer than its hip is seen before the thigh. */
const KNEE_FIRST_CM = 24;
/** A leg and its foot reach no farther from its bones. */
const LIMB_CM = 13;
/** How thick a shoulder is where it goes into the trunk. */
const SHOULDER_CM = 3.6;

/** All of the body but the head, as seen; what hides what follows from how near each part is. */
export function bodyShapes(
  skeleton: Skeleton,
  pose: Pose,
  rings: BodyRings,
  camera: Camera,
  view: View,
  keep: Keep = keepNothing,
): { readonly shapes: Shape[]; readonly layers: Layers } {
  const { trunk } = rings;
  const lines = bodyLines(skeleton, pose, camera);
  const trunkNear = nearOf(trunk.all.slice(trunk.waist));
  const hipsNear = nearOf(trunk.all.slice(0, trunk.pelvis));
  const legs = SIDES.map((side) => legOf(skeleton, rings, camera, side, keep));
  const nearest = Math.max(...legs.map(({ near }) => near));
  const isFar = (near: number) => view === 'side' && near < nearest - FAR_CM;
  const hips = ribbon(edgesOf(trunk.all.slice(0, trunk.pelvis + 2)), { from: [], to: [] });
  const vest = trunk.all.slice(trunk.pelvis - 1);
  const hem = vest[0];
  const vestEdges = edgesOf(vest);
  const hemWay = itemAt(vestEdges.ways, 0);
  const ownShorts = legs.map(({ shorts, thighNear, near }) => ({
    shorts,
    near: thighNear,
    joined: !isFar(near) && thighNear < hipsNear + BEFORE_CM,
  }));
  const legLayers = legs.map(({ near, thighNear }, i) => {
    if (isFar(near)) return Math.min(near, trunkNear - 1);
    return itemAt(ownShorts, i).joined ? trunkNear - 0.4 : thighNear;
  });
  const placesOf = (side: 'right' | 'left'): Shape['within'] => {
    const places = [...rings.thigh[side], ...rings.shank[side]].map(({ at }) => at);
    const [xs, ys] = [places.map(([x]) => x), places.map(([, y]) => y)];
    return [
      Math.min(...xs) - LIMB_CM,
      Math.min(...ys) - LIMB_CM,
      Math.max(...xs) + LIMB_CM,
      Math.max(...ys) + LIMB_CM,
    ];
  };
  const arms = SIDES.map((side) => armOf(skeleton, rings, camera, side, keep));
  const shapes: Shape[] = [
    {
      tone: 'cloth',
      d: ribbon(vestEdges, { from: hem ? rimOf(hem, [-hemWay[0], -hemWay[1]]) : [], to: [] }),
      near: trunkNear,
    },
    {
      tone: 'shorts',
      d: hips + ownShorts.flatMap(({ joined, shorts }) => (joined ? [shorts] : [])).join(''),
      near: trunkNear - 0.2,
    },
    ...legs.flatMap(({ skin, shorts, near, kneeFirst }, i): Shape[] => {
      const at = legLayers[i] ?? near;
      const within = placesOf(i === 0 ? 'right' : 'left');
      const cloth: Tone = isFar(near) ? 'shorts-far' : 'shorts';
      return [
        // A knee that comes towards the viewer lies before the cloth of its own thigh.
        {
          tone: isFar(near) ? 'skin-far' : 'skin',
          d: skin,
          near: at + (kneeFirst ? 0.2 : 0),
          within,
        },
        {
          tone: 'inner',
          d: lines.knees[i === 0 ? 'right' : 'left'],
          near: at + (kneeFirst ? 0.21 : 0.05),
          within,
        },
        ...(itemAt(ownShorts, i).joined
          ? []
          : [{ tone: cloth, d: shorts, near: at + 0.1, within }]),
      ];
    }),
    { tone: 'inner', d: lines.trunk, near: trunkNear + 0.005 },
    ...arms.flatMap((arm): Shape[] => {
      const far = view === 'side' && arm.near < trunkNear;
      return [
        { tone: far ? 'skin-far' : 'skin', d: arm.d, near: arm.near },
        { tone: 'inner', d: arm.inner, near: arm.near + 0.05 },
      ];
    }),
    { tone: 'skin', d: chain(beadsOf(edgesOf(rings.neck))), near: trunkNear + 0.3 },
  ];
  const layers: Layers = (surface, side) => {
    const index = side === 'right' ? 0 : 1;
    switch (surface) {
      case 'neck':
        return trunkNear + 0.31;
      case 'trunk':
        return trunkNear + 0.01;
      case 'upperArm':
      case 'forearm':
        return itemAt(arms, index).near + 0.02;
      case 'thigh':
      case 'shank':
        return Math.max(
          itemAt(legLayers, index) + 0.15,
          itemAt(ownShorts, index).joined ? trunkNear - 0.1 : -1e3,
        );
    }
  };
  return { shapes, layers };
}

const nearOf = (rings: readonly Ring[]) =>
  rings.reduce((sum, { at }) => sum + at[2], 0) / Math.max(1, rings.length);

function legOf(skeleton: Skeleton, rings: BodyRings, camera: Camera, side: Side, keep: Keep) {
  const own = side === 'Right' ? 'right' : 'left';
  const [thigh, shank] = [rings.thigh[own], rings.shank[own]];
  return keep(`leg ${own}`, [thigh, shank, ...numbersOf(skeleton, [`foot${side}`])], () =>
    legFrom(skeleton, thigh, shank, camera, side),
  );
}

function legFrom(
  skeleton: Skeleton,
  thigh: readonly Ring[],
  shank: readonly Ring[],
  camera: Camera,
  side: Side,
) {
  const foot = footShape(skeleton, camera, side);
  const covered = thigh.slice(0, SHORTS_SECTIONS).map((ring, i) => loose(ring, 1.03 + i * 0.02));
  const [hip, knee] = [thigh[0], thigh.at(-1)];
  const kneeFirst = hip && knee ? knee.at[2] - hip.at[2] > KNEE_FIRST_CM : false;
  const limb = limbOutline(kneeFirst ? thigh.slice(SHORTS_SECTIONS) : thigh, shank);
  return {
    kneeFirst,
    skin: limb.d + (limb.to ? disc(limb.to) : '') + foot.foot + foot.toes,
    shorts: boneOutline(covered, { from: true, to: false }),
    near: (nearOf(thigh) + nearOf(shank) * 2 + foot.near) / 4,
    thighNear: nearOf(thigh),
  };
}

/** Cloth stands off the skin. */
function loose({ at, ...axes }: Ring, by: number): Ring {
  const grown = (v: Seen): Seen => [v[0] * by, v[1] * by, v[2] * by];
  return {
    at,
    front: grown(axes.front),
    back: grown(axes.back),
    right: grown(axes.right),
    left: grown(axes.left),
  };
}

function armOf(skeleton: Skeleton, rings: BodyRings, camera: Camera, side: Side, keep: Keep) {
  const own = side === 'Right' ? 'right' : 'left';
  const [upper, lower] = [rings.upperArm[own], rings.forearm[own]];
  const from = [upper, lower, ...numbersOf(skeleton, ['thorax', `hand${side}`])];
  return keep(`arm ${own}`, [...from, skeleton.hands[own]], () =>
    armFrom(skeleton, upper, lower, camera, side, skeleton.hands[own]),
  );
}

function armFrom(
  skeleton: Skeleton,
  upper: readonly Ring[],
  lower: readonly Ring[],
  camera: Camera,
  side: Side,
  shape: HandShape,
) {
  const limb = limbOutline(upper, lower);
  const hand = handShape(skeleton, camera, side, shape);
  const [x, y] = shoulderRing(skeleton, camera, side).at;
  return {
    d: (limb.from ? capsule([x, y, SHOULDER_CM], limb.from) : '') + limb.d + hand.d,
    inner: hand.inner,
    near: (nearOf(upper) + nearOf(lower) + hand.near * 2) / 4,
  };
}
