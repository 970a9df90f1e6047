import { arcCosine, itemAt } from '../../units';
import {
  MARKS,
  type Goal,
  type MarkName,
  type Part,
  type Pose,
  type Skeleton,
  type Vec,
  add,
  dot,
  inverse,
  markAt,
  minus,
  mirrorVec,
  poseBetween,
  scale,
  size,
  skeletonOf,
  turn,
  unit,
} from '../body';
import { readPose } from '../reading';
import type { Camera } from './view';
import { see } from './view';

/** What of a body moves from one pose to another. */
export type Mover =
  | 'head'
  | 'trunk'
  | 'hips'
  | 'shoulderRight'
  | 'shoulderLeft'
  | 'armRight'
  | 'armLeft'
  | 'legRight'
  | 'legLeft';

/** A part that moves, and the way a point of it takes through the room, in cm. */
export type Movement = { readonly mover: Mover; readonly way: readonly Vec[] };

/** Less than this a part is still: its own movement against what carries it. */
const LEAST = {
  headCm: 0.7,
  headDeg: 5,
  trunkDeg: 9,
  hipsCm: 7.5,
  pelvisDeg: 6,
  slideCm: 4,
  bladesCm: 1,
  armCm: 5,
  armDeg: 20,
  armInRoomCm: 7,
  riseCm: 1.5,
  legCm: 6,
  footDeg: 15,
  archCm: 5,
} as const;

/** A way is looked at in so many places: enough for a curve. */
const PLACES = 7;

const known = new WeakMap<Pose, WeakMap<Pose, readonly Movement[]>>();

/** What moves between two poses, as it is described for the right. Reckoned once for each pair. */
export function movementsBetween(from: Pose, to: Pose): readonly Movement[] {
  const before = known.get(from)?.get(to);
  if (before) return before;
  const found = reckon(from, to);
  const by = known.get(from) ?? new WeakMap<Pose, readonly Movement[]>();
  by.set(to, found);
  known.set(from, by);
  return found;
}

/** The same movement of the other side. */
export function mirrorMovement({ mover, way }: Movement): Movement {
  return { mover: otherOf(mover), way: way.map(mirrorVec) };
}

/** How far the base of the neck is to the right of the middle between the hips, in cm. */
const aside = ({ frames }: Skeleton) => markAt(frames, 'neckBase')[2] - frames.pelvis.at[2];

function reckon(from: Pose, to: Pose): Movement[] {
  const skeletons = Array.from({ length: PLACES }, (_, i) =>
    skeletonOf(poseBetween(from, to, i / (PLACES - 1))),
  );
  const [first, last] = [itemAt(skeletons, 0), itemAt(skeletons, -1)];
  const path = (point: (skeleton: Skeleton) => Vec) => skeletons.map(point);
  const own = (part: Part, carrier: Part) => ownMove(first, last, part, carrier);
  const found: Movement[] = [];
  const [a, b] = [readPose(from), readPose(to)];
  const looksDown = turn(first.frames.thorax.turn, [1, 0, 0])[1] < -0.5;
  const pointer = headPointer(a, b, looksDown);
  const face = path(({ frames: { head } }) => add(head.at, turn(head.turn, pointer ?? [0, 0, 0])));
  // A head that lies where it lay while the trunk goes on under it does nothing.
  const slid = Math.abs(b.headForwardCm - a.headForwardCm);
  if (pointer && reachOf(face) > slid * STAYS) found.push({ mover: 'head', way: face });
  const chest = ({ frames }: Skeleton, axis: Vec) => turn(frames.thorax.turn, axis);
  const bent = angleBetween(chest(first, [0, 1, 0]), chest(last, [0, 1, 0]));
  const turned = angleBetween(chest(first, [1, 0, 0]), chest(last, [1, 0, 0]));
  const arched = path(({ frames }) => markAt(frames, 'lowBack'));
  const hips = path(({ frames }) => frames.pelvis.at);
  const rolled = angleBetween(
    turn(first.frames.pelvis.turn, [0, 1, 0]),
    turn(last.frames.pelvis.turn, [0, 1, 0]),
  );
  // A back that rounds or hollows between hips and hands that stay: its arrow stands over the arch.
  const arches =
    isLevel(first) &&
    isLevel(last) &&
    rolled > LEAST.pelvisDeg &&
    reachOf(hips) < LEAST.slideCm &&
    reachOf(arched) > LEAST.archCm;
  if (arches)
    found.push({
      mover: 'trunk',
      way: path(({ frames: { lumbar } }) => add(lumbar.at, turn(lumbar.turn, [-12, 3, 0]))),
    });
  else if (bent > LEAST.trunkDeg && bent < GROWS_DEG && isUpright(first) && isUpright(last))
    found.push({
      mover: 'trunk',
      way: path(({ frames: { head } }) => add(head.at, turn(head.turn, [0.8, 19, 0]))),
    });
  else if (bent > LEAST.trunkDeg)
    found.push({
      mover: 'trunk',
      way: outside(
        path(({ frames }) => markAt(frames, 'neckBase')),
        7,
      ),
    });
  else if (turned > LEAST.trunkDeg)
    found.push({
      mover: 'trunk',
      way: path(({ frames: { thorax } }) => add(thorax.at, turn(thorax.turn, [22, 13, 0]))),
    });
  // A chest that slides over hips that stay, its shoulders level.
  else if (Math.abs(aside(last) - aside(first)) > LEAST.slideCm)
    found.push({ mover: 'trunk', way: path(({ frames }) => markAt(frames, 'breastbone')) });
  if (reachOf(hips) > LEAST.hipsCm) found.push({ mover: 'hips', way: outside(hips, 15) });
  // A pelvis that rolls where it sits: its upper rim goes round.
  else if (rolled > LEAST.pelvisDeg && bent <= LEAST.trunkDeg && !arches)
    found.push({
      mover: 'hips',
      way: path(({ frames: { pelvis } }) => add(pelvis.at, turn(pelvis.turn, [-14, 16, 0]))),
    });
  const { right: now } = to.blades;
  const { right: was } = from.blades;
  if (Math.hypot(now.up - was.up, now.back - was.back) >= LEAST.bladesCm)
    for (const side of ['Right', 'Left'] as const)
      found.push({
        mover: `shoulder${side}`,
        way: outside(
          path(({ frames }) =>
            add(frames[`upperArm${side}`].at, [0, 4, side === 'Right' ? 3 : -3]),
          ),
          5,
        ),
      });
  for (const side of ['Right', 'Left'] as const) {
    const arms = side === 'Right' ? 'right' : 'left';
    const [begin, end] = [from.arms[arms], to.arms[arms]];
    const stays =
      begin.by === 'goal' &&
      end.by === 'goal' &&
      typeof begin.to === 'string' &&
      begin.to === end.to;
    const swung = angleBetween(
      turn(first.frames[`hand${side}`].turn, [0, 1, 0]),
      turn(last.frames[`hand${side}`].turn, [0, 1, 0]),
    );
    const palm = path(({ frames }) => markAt(frames, `palm${side}`));
    const moved = own(`hand${side}`, 'thorax');
    if (
      !stays &&
      (moved > LEAST.armCm || swung > LEAST.armDeg) &&
      reachOf(palm) > LEAST.armInRoomCm
    )
      found.push({ mover: `arm${side}`, way: palm });
    else if (stays && !onHead(begin.to) && risesBy(begin, end) > LEAST.riseCm)
      found.push({ mover: `arm${side}`, way: outside(palm, 5) });
    const [foot, knee] = [own(`foot${side}`, 'pelvis'), own(`shank${side}`, 'pelvis')];
    const inRoom = (name: MarkName) => path(({ frames }) => markAt(frames, name));
    const farthest =
      [inRoom(`toe${side}`), inRoom(`kneeFront${side}`)].sort(
        (p, q) => reachOf(q) - reachOf(p),
      )[0] ?? [];
    const flexed = angleBetween(
      turn(
        inverse(first.frames[`shank${side}`].turn),
        turn(first.frames[`foot${side}`].turn, [1, 0, 0]),
      ),
      turn(
        inverse(last.frames[`shank${side}`].turn),
        turn(last.frames[`foot${side}`].turn, [1, 0, 0]),
      ),
    );
    if (
      (Math.max(foot, knee) > LEAST.legCm || flexed > LEAST.footDeg) &&
      reachOf(farthest) > LEAST.legCm
    )
      found.push({ mover: `leg${side}`, way: farthest });
  }
  return telling(found, a, b);
}

/** A head that only goes along with the trunk, and shoulders that go with their arms, need no arrow of their own. */
function telling(found: readonly Movement[], a: Read, b: Read): Movement[] {
  const moves = (mover: Mover) => found.some((one) => one.mover === mover);
  const reach = (mover: Mover) => reachOf(found.find((one) => one.mover === mover)?.way ?? []);
  const along = (mover: Mover): Vec => {
    const way = found.find((one) => one.mover === mover)?.way;
    return way ? minus(itemAt(way, -1), itemAt(way, 0)) : [0, 0, 0];
  };
  const own = Math.max(
    Math.abs(a.gazeUpDeg - b.gazeUpDeg),
    Math.abs(a.headTurnRightDeg - b.headTurnRightDeg),
  );
  const walks = dot(along('legRight'), along('legLeft')) < 0;
  const kept = found.filter(({ mover }) => {
    if (mover === 'head') return !moves('trunk') || own > OWN_HEAD_DEG;
    // Hips that are lifted tilt the trunk; a trunk that is bent takes the hips along.
    if (mover === 'trunk') return !moves('hips') || reach('hips') < reach('trunk') * LIFTED;
    if (mover === 'hips') return !moves('trunk') || reach('hips') >= reach('trunk') * LIFTED;
    if (mover === 'shoulderRight' || mover === 'shoulderLeft')
      return !moves('armRight') && !moves('armLeft') && !moves('trunk');
    // Of who walks the legs say it: arms only swing along.
    if (mover === 'armRight' || mover === 'armLeft') return !walks;
    return true;
  });
  // A picture full of arrows says nothing: those of the longest ways stay.
  return kept.sort((p, q) => reachOf(q.way) - reachOf(p.way)).slice(0, MOST_ARROWS);
}

const MOST_ARROWS = 4;
/** A head that goes less of its way against the trunk in the room stays, and the trunk goes. */
const STAYS = 0.5;
/** Hips that go so much of the way of the trunk are what is lifted. */
const LIFTED = 0.45;

/** Upright, a trunk that bends less grows taller or sinks: its arrow stands over the head. */
const GROWS_DEG = 28;
/** Face down or face up, the trunk nearer to lying than to standing. */
const isLevel = ({ frames }: Skeleton) => Math.abs(turn(frames.thorax.turn, [0, 1, 0])[1]) < 0.7;
const isUpright = ({ frames }: Skeleton) => turn(frames.thorax.turn, [0, 1, 0])[1] > 0.8;

/** Beside a trunk that moves, a head says something of its own from so many degrees. */
const OWN_HEAD_DEG = 30;

/** How far a hand that stays on a place is lifted off it or pushed along, in cm. */
function risesBy({ offset: a = [0, 0, 0] }: Goal, { offset: b = [0, 0, 0] }: Goal): number {
  return size(minus(b, a));
}

const onHead = (to: MarkName | Vec) =>
  typeof to === 'string' && (MARKS[to].part === 'head' || MARKS[to].part === 'neck');

const angleBetween = (a: Vec, b: Vec) => (arcCosine(dot(a, b)) * 180) / Math.PI;

const reachOf = (way: readonly Vec[]) => {
  const first = itemAt(way, 0);
  return Math.max(...way.map((at) => size(minus(at, first))));
};

/** How far a part goes against the part that carries it, in cm. */
function ownMove(first: Skeleton, last: Skeleton, part: Part, carrier: Part): number {
  const inside = ({ frames }: Skeleton) =>
    turn(inverse(frames[carrier].turn), minus(frames[part].at, frames[carrier].at));
  return size(minus(inside(last), inside(first)));
}

/** A way set off the body along its own direction, so that its arrow stands beside the skin. */
function outside(way: readonly Vec[], by: number): Vec[] {
  const [first, last] = [itemAt(way, 0), itemAt(way, -1)];
  const off = scale(unit(minus(last, first)), by);
  return way.map((at) => add(at, off));
}

type Read = ReturnType<typeof readPose>;

/** Before the face, over the forehead or over the crown: where the arrow of a head's movement is seen best. */
function headPointer(a: Read, b: Read, looksDown: boolean): Vec | null {
  const slid = Math.abs(b.headForwardCm - a.headForwardCm);
  const tipped = Math.abs(b.gazeUpDeg - a.gazeUpDeg);
  const turned = Math.abs(b.headTurnRightDeg - a.headTurnRightDeg);
  const bent = Math.abs(b.headSideRightDeg - a.headSideRightDeg);
  if (slid < LEAST.headCm && Math.max(tipped, turned, bent) < LEAST.headDeg) return null;
  if (turned > Math.max(tipped, bent)) return [13, 16.5, 0];
  if (bent > tipped) return [0.8, 19, 0];
  // Before the face; of somebody who looks at the floor, behind the head.
  return looksDown ? [-13.5, 6, 0] : [16.5, tipped > 8 ? -3 : 1, 0];
}

/** Ways nearer to each other than this say the same. */
const ALIKE_CM = 14;

/** Of a pair that moves alike the one that is nearer, where on the sheet they lie over each other. */
export function withoutTwins(movements: readonly Movement[], camera: Camera): Movement[] {
  const middle = ({ way }: Movement) => see(camera, itemAt(way, Math.floor(way.length / 2)));
  return movements.filter((one) => {
    const twin = movements.find(({ mover }) => mover !== one.mover && mover === otherOf(one.mover));
    if (!twin) return true;
    const [a, b] = [middle(one), middle(twin)];
    return Math.hypot(a[0] - b[0], a[1] - b[1]) > ALIKE_CM || a[2] >= b[2];
  });
}

function otherOf(mover: Mover): Mover {
  const other = mover.endsWith('Right')
    ? mover.replace('Right', 'Left')
    : mover.replace('Left', 'Right');
  return other as Mover;
}

/** A way on the sheet, `least` long so that it is seen; null where it goes straight at the viewer. */
export function onSheet(
  { way }: Movement,
  camera: Camera,
  least: number,
): (readonly [number, number])[] | null {
  const seen = way.map((at) => {
    const [x, y] = see(camera, at);
    return [x, y] as const;
  });
  const long = seen.slice(1).reduce((sum, at, i) => {
    const before = seen[i] ?? at;
    return sum + Math.hypot(at[0] - before[0], at[1] - before[1]);
  }, 0);
  if (long < 0.5) return null;
  if (long >= least) return seen;
  const middle = itemAt(seen, Math.floor(seen.length / 2));
  const by = least / long;
  return seen.map(([x, y]) => [middle[0] + (x - middle[0]) * by, middle[1] + (y - middle[1]) * by]);
}
