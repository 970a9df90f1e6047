import { itemAt } from '../../units';
import { type Frame, type Vec } from '../body';
import {
  COLUMNS,
  HEAD_MIDDLE,
  skinPoints,
  type Spot,
  hairEdgeSpots,
} from '../surface/head-surface';
import { type Sight, along, place, sightOf } from '../surface/sight';
import { BINS, type Silhouette, binOf, outlinePoint, silhouetteOf } from '../surface/silhouette';
import { FOLDS, RIDGE, RIMS, faceLines } from './face-lines';
import { type Point, closed, line, simpler, smooth } from './outline';
import type { Shape } from './shape';
import type { Camera, Seen } from './view';

/** The way the middle of the hair looks. */
const CROWN: Vec = [-0.55, 0.83, 0];
/** How far the hair stands off the skull, in cm. */
const HAIR_CM = 0.7;
/** Every so many directions are enough for a line as round as hair. */
const HAIR_STEP = 5;
/** Farther behind the middle of the head nothing of it is seen, in cm. */
const BEHIND_CM = 3;
/** So much a place must look at the viewer to tell on which side of the hair's edge it lies. */
const SURE = 0.25;
const CROWN_SKIN: Vec = [-4.2, 12.4, 0];
const FACE_SKIN: Vec = [10.2, 3, 0];

/** Whether a line goes round the hair: the crown lies in it where it is seen, else the face out of it. */
function isHairSide({ sight }: Look, line: readonly Point[]): boolean {
  const crown = along(sight, CROWN)[2] > SURE;
  const face = along(sight, [1, 0, 0])[2] > SURE;
  if (!crown && !face) return true;
  const at = place(sight, crown ? CROWN_SKIN : FACE_SKIN);
  return isInside(line, flat(at)) === crown;
}

/** Whether a point lies in a closed line (even–odd). */
function isInside(line: readonly Point[], [x, y]: Point): boolean {
  return line.reduce((inside, [ax, ay], i) => {
    const [bx, by] = itemAt(line, (i + 1) % line.length);
    const crosses = ay > y !== by > y && x < ((bx - ax) * (y - ay)) / (by - ay) + ax;
    return crosses ? !inside : inside;
  }, false);
}
/** A line of the skin is drawn where it looks at the viewer at least so much. */
const SEEN = 0.12;

type Look = {
  readonly sight: Sight;
  readonly outline: Silhouette;
  readonly jaw: number;
};

const flat = ([x, y]: Seen): Point => [x, y];

/** The lower jaw turns about an axis before the ear; below the mouth the face goes with it. */
function opened([x, y, z]: Vec, degrees: number): Vec {
  if (degrees === 0 || y > -2.4 || x < 0) return [x, y, z];
  const angle = (degrees * Math.PI) / 180;
  const share = Math.min(1, (-2.4 - y) / 0.8);
  const [dx, dy] = [x - 1.2, y - 0.4];
  return [
    x + share * (dx * Math.cos(angle) + dy * Math.sin(angle) - dx),
    y + share * (-dx * Math.sin(angle) + dy * Math.cos(angle) - dy),
    z,
  ];
}

function lookAt(head: Frame, jaw: number, camera: Camera): Look {
  const sight = sightOf(camera, head);
  const points = skinPoints().map(({ at }) => place(sight, opened(at, jaw)));
  const [mx, my] = place(sight, HEAD_MIDDLE);
  return { sight, outline: silhouetteOf(points, COLUMNS, [mx, my]), jaw };
}

/** The whole outline of the skin. */
function skinLine({ outline }: Look): Point[] {
  return Array.from({ length: BINS }, (_, i) => outlinePoint(outline, i));
}

const reduced = (points: Point[]): Point[] => {
  // A closed line has no ends to keep: it is cut at its two farthest points.
  const half = Math.floor(points.length / 2);
  const first = points[0];
  if (!first) return points;
  return [
    ...simpler(points.slice(0, half + 1), 0.06).slice(0, -1),
    ...simpler([...points.slice(half), first], 0.06).slice(0, -1),
  ];
};

/** The outline of a head on the sheet, all the way round. */
export function headOutline(head: Frame, camera: Camera): Point[] {
  return skinLine(lookAt(head, 0, camera));
}

/** Lines of the face: those pieces of each that look at the viewer. */
function seenPieces({ sight, jaw }: Look, spots: readonly Spot[], least = SEEN): Point[][] {
  const pieces: Point[][] = [[]];
  for (const { at, looks } of spots) {
    if (along(sight, looks)[2] > least)
      itemAt(pieces, -1).push(flat(place(sight, opened(at, jaw))));
    else if (itemAt(pieces, -1).length > 0) pieces.push([]);
  }
  return pieces.filter(({ length }) => length > 1);
}

/** A head from any side: skin, hair, ears, face. */
export function headShapes(
  head: Frame,
  jawDegrees: number,
  camera: Camera,
  eyesClosed = false,
): Shape[] {
  const look = lookAt(head, jawDegrees, camera);
  const lines = faceLines();
  const { sight } = look;
  const near = place(sight, [1, 4, 0])[2] + NEAR_THE_FACE;
  const skin = smooth(reduced(skinLine(look)), true);
  const ears = [1, -1].flatMap((side, i) => {
    const looks = along(sight, [0.25, 0, side])[2];
    return looks > -0.25 ? [{ rim: RIMS[i] ?? [], fold: FOLDS[i] ?? [], looks }] : [];
  });
  const rims = (of: typeof ears) =>
    of
      .map(({ rim }) =>
        smooth(
          rim.map((at) => flat(place(sight, at))),
          true,
        ),
      )
      .join('');
  const fine = [
    ...[...(eyesClosed ? lines.shutLids : lines.lids), lines.mouth].flatMap((spots) =>
      seenPieces(look, spots),
    ),
    ...lines.wings.flatMap((spots) => seenPieces(look, spots, 0.02)),
    ...noseRidge(look),
    ...ears
      .filter(({ looks }) => looks > 0.3)
      .map(({ fold }) => fold.map((at) => flat(place(sight, at)))),
  ];
  const faint = [...lines.jaw, lines.lip].flatMap((spots) => seenPieces(look, spots, 0.3));
  const eyes = (eyesClosed ? [] : lines.eyes).filter((spots) =>
    spots.every(({ looks }) => along(sight, looks)[2] > 0.05),
  );
  const shapes: Shape[] = [
    // An ear that looks away is behind the face: of it only what stands out beyond is seen.
    { tone: 'skin', d: rims(ears.filter(({ looks }) => looks < 0)), near: near - 0.01 },
    { tone: 'skin', d: skin, near },
    { tone: 'hair', d: hairShape(look), near: near + 0.01 },
    { tone: 'skin', d: rims(ears.filter(({ looks }) => looks >= 0)), near: near + 0.02 },
    { tone: 'inner', d: faint.map((points) => smooth(points)).join(''), near: near + 0.03 },
    { tone: 'mark', d: fine.map((points) => smooth(points)).join(''), near: near + 0.04 },
    {
      tone: 'brow',
      d: lines.brows
        .flatMap((spots) => seenPieces(look, spots))
        .map((points) => smooth(points))
        .join(''),
      near: near + 0.05,
    },
    {
      tone: 'eye',
      d: eyes.map((spots) => closed(spots.map(({ at }) => flat(place(sight, at))))).join(''),
      near: near + 0.06,
    },
  ];
  return shapes.filter(({ d }) => d !== '');
}

const NEAR_THE_FACE = 4;

/** From between the brows to the tip: what is seen of a nose that is turned, but not from the side. */
function noseRidge({ sight }: Look): Point[][] {
  const looks = along(sight, [1, 0, 0])[2];
  const aside = Math.abs(along(sight, [0, 0, 1])[2]);
  if (looks < 0.25 || aside < 0.12) return [];
  return [RIDGE.map((at) => flat(place(sight, at)))];
}

/** The hair that is seen: between its edge where that looks at the viewer, and the outline of the head. */
function hairShape(look: Look): string {
  const { sight, outline } = look;
  const hairy = (bin: number) =>
    itemAt(skinPoints(), itemAt(outline.by, ((bin % BINS) + BINS) % BINS)).hair;
  const [, , middle] = place(sight, HEAD_MIDDLE);
  const seen = hairEdgeSpots().map(({ at, looks }) => {
    const here = place(sight, at);
    // A nape that is tipped under looks at the viewer too, but the head is before it.
    return { at: flat(here), seen: along(sight, looks)[2] > 0 && here[2] > middle - BEHIND_CM };
  });
  const runs: Point[][] = [];
  const n = seen.length;
  const start = seen.findIndex((one, i) => one.seen && !itemAt(seen, (i + n - 1) % n).seen);
  if (start < 0) {
    // Looked at from above all of the edge is seen; from behind, or from under the chin, none of it.
    if (itemAt(seen, 0).seen)
      return smooth(
        seen.map(({ at }) => at),
        true,
      );
    return along(sight, CROWN)[2] > 0 ? smooth(rimOf(look, 0, BINS), true) : '';
  }
  for (let i = 0; i < n; i += 1) {
    const one = itemAt(seen, (start + i) % n);
    const before = itemAt(seen, (start + i + n - 1) % n);
    if (!one.seen) continue;
    if (!before.seen) runs.push([]);
    itemAt(runs, -1).push(one.at);
  }
  // Each run ends at the outline; along it, where hair is, to the beginning of the next.
  const roundBy = (step: 1 | -1 | null): Point[] =>
    runs.flatMap((run, i) => {
      const next = itemAt(runs, (i + 1) % runs.length);
      const [from, to] = [binOf(outline, itemAt(run, -1)), binOf(outline, itemAt(next, 0))];
      return [...run, ...arcBetween(look, from, to, step, hairy)];
    });
  for (const step of [null, 1, -1] as const) {
    const round = roundBy(step);
    if (isHairSide(look, round)) return smooth(round, true);
  }
  // Where each way round would cover the face, the hair is behind it.
  return '';
}

function arcBetween(
  look: Look,
  from: number,
  to: number,
  known: 1 | -1 | null,
  hairy: (bin: number) => boolean,
): Point[] {
  const up = (((to - from) % BINS) + BINS) % BINS;
  const hairOn = (step: 1 | -1, length: number) => {
    let count = 0;
    for (let i = 1; i < length; i += 1) if (hairy(from + i * step)) count += 1;
    return length < 2 ? 0 : count / (length - 1);
  };
  const step = known ?? (hairOn(1, up) >= hairOn(-1, BINS - up) ? 1 : -1);
  const length = step === 1 ? up : BINS - up;
  return rimOf(look, from, length, step);
}

/** The outline with the hair on it: thin at its ends. */
function rimOf({ outline }: Look, from: number, length: number, step: 1 | -1 = 1): Point[] {
  const points = Array.from({ length: length + 1 }, (_, i) => {
    const out = HAIR_CM * Math.min(1, Math.min(i, length - i) / 7);
    return outlinePoint(outline, from + i * step, length >= BINS ? HAIR_CM : out);
  });
  // Evenly thinned out, so that a round stays round; its ends are kept.
  return points.filter((_, i) => i % HAIR_STEP === 0 || i === length);
}

/** Only the outline and the face's direction, for where the head was before. */
export function headBefore(head: Frame, jaw: number, camera: Camera): string {
  const look = lookAt(head, jaw, camera);
  const { lids, mouth } = faceLines();
  const face = [...lids, mouth].flatMap((spots) => seenPieces(look, spots));
  return smooth(reduced(skinLine(look)), true) + face.map((points) => line(points)).join('');
}
