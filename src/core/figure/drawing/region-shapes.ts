import { itemAt } from '../../units';
import { lengthOf } from '../body';
import type { Lit } from '../figure';
import type { Keep } from '../keep';
import type { BodyRings } from '../surface/body-rings';
import { REGIONS, type Region, type Surface } from '../surface/regions';
import { type Ring, looksAt, skinAt } from '../surface/section';
import { type Point, line, smooth } from './outline';
import type { Shape } from './shape';
import type { Seen } from './view';

/** A patch is looked at in so many bearings, at so many sections of its surface. */
const BEARINGS = 8;
const STEP = 0.8;
/** A stretched patch is hatched with lines about so far apart, in cm. */
const HATCH_CM = 1.6;
/** Narrower than this on the sheet it would be a line, and says nothing. */
const LEAST_CM = 1;

/** How near a surface is painted: just over its skin, under whatever lies before it. */
export type Layers = (surface: Surface, side: 'right' | 'left') => number;

type Edge = { readonly from: Point; readonly to: Point };

/**
 * Lit muscles as patches of the body's own skin: what of them looks away is left out, so that a patch
 * always lies within the outline.
 */
export function regionShapes(
  lit: readonly Lit[],
  rings: BodyRings,
  layers: Layers,
  keep: Keep,
): Shape[] {
  const patches = lit.flatMap(({ muscle, as, side }) =>
    (['right', 'left'] as const)
      .filter((one) => !side || one === side)
      .flatMap((one) =>
        REGIONS[muscle].flatMap((region, nth) => {
          const [own, near] = [ringsOf(rings, region.on, one), layers(region.on, one)];
          return keep(`${muscle} ${nth} ${as} ${one}`, [own, near], () =>
            patch(region, as, own, one, near),
          );
        }),
      ),
  );
  return joined(patches);
}

/** Patches of one kind on one surface as one shape: where they overlap nothing grows darker. */
function joined(patches: readonly Shape[]): Shape[] {
  const shapes = new Map<string, Shape>();
  for (const one of patches) {
    const key = `${one.tone} ${one.near}`;
    shapes.set(key, { ...one, d: (shapes.get(key)?.d ?? '') + one.d });
  }
  return [...shapes.values()];
}

function ringsOf(rings: BodyRings, surface: Surface, side: 'right' | 'left'): readonly Ring[] {
  if (surface === 'neck') return rings.neck;
  return surface === 'trunk' ? rings.trunk.all : rings[surface][side];
}

function patch(
  { spans }: Region,
  as: Lit['as'],
  rings: readonly Ring[],
  side: 'right' | 'left',
  near: number,
): Shape[] {
  const [first, last] = [itemAt(spans, 0), itemAt(spans, -1)];
  const steps = Math.max(2, Math.round((last[0] - first[0]) / STEP));
  const edges = Array.from({ length: steps + 1 }, (_, i) => {
    const section = first[0] + ((last[0] - first[0]) * i) / steps;
    return edgeOf(ringBetween(rings, section), spanAt(spans, section), side === 'right' ? 1 : -1);
  }).filter((edge) => edge !== null);
  const wide = Math.max(
    0,
    ...edges.map(({ from, to }) => lengthOf(from[0] - to[0], from[1] - to[1])),
  );
  if (edges.length < 2 || wide < LEAST_CM) return [];
  const outline = smooth(
    [...edges.map(({ from }) => from), ...edges.map(({ to }) => to).reverse()],
    true,
  );
  return [{ tone: as, d: outline + (as === 'stretched' ? hatch(edges) : ''), near }];
}

function hatch(edges: readonly Edge[]): string {
  const [first, last] = [itemAt(edges, 0), itemAt(edges, -1)];
  const long = Math.max(
    lengthOf(first.from[0] - last.from[0], first.from[1] - last.from[1]),
    lengthOf(first.to[0] - last.to[0], first.to[1] - last.to[1]),
  );
  const lines = Math.max(3, Math.round(long / HATCH_CM));
  const at = (of: 'from' | 'to', share: number): Point => {
    const place = Math.min(edges.length - 1, Math.max(0, share * (edges.length - 1)));
    const i = Math.min(edges.length - 2, Math.floor(place));
    const [a, b] = [itemAt(edges, i)[of], itemAt(edges, i + 1)[of]];
    return [a[0] + (b[0] - a[0]) * (place - i), a[1] + (b[1] - a[1]) * (place - i)];
  };
  return Array.from({ length: lines }, (_, i) => {
    const share = (i + 0.5) / lines;
    return line([at('from', share), at('to', share + 0.4 / lines)]);
  }).join('');
}

function ringBetween(rings: readonly Ring[], section: number): Ring {
  const i = Math.min(rings.length - 2, Math.max(0, Math.floor(section)));
  const [a, b] = [rings[i], rings[i + 1]];
  if (!a || !b) throw new Error('a surface has at least two sections');
  const share = Math.min(1, Math.max(0, section - i));
  const mix = (of: keyof Ring): Seen => [
    a[of][0] + (b[of][0] - a[of][0]) * share,
    a[of][1] + (b[of][1] - a[of][1]) * share,
    a[of][2] + (b[of][2] - a[of][2]) * share,
  ];
  return {
    at: mix('at'),
    front: mix('front'),
    back: mix('back'),
    right: mix('right'),
    left: mix('left'),
  };
}

function spanAt(spans: Region['spans'], section: number): readonly [from: number, to: number] {
  const after = spans.findIndex(([at]) => at >= section);
  const [a, b] = [spans[Math.max(0, after - 1)], spans[Math.max(0, after)]];
  if (!a || !b) return [0, 0];
  const share = b[0] === a[0] ? 0 : (section - a[0]) / (b[0] - a[0]);
  return [a[1] + (b[1] - a[1]) * share, a[2] + (b[2] - a[2]) * share];
}

/** Both ends of what is seen of a span. */
function edgeOf(ring: Ring, [from, to]: readonly [number, number], hand: 1 | -1): Edge | null {
  const bearings = Array.from(
    { length: BEARINGS + 1 },
    (_, i) => (from + ((to - from) * i) / BEARINGS) * hand,
  );
  const looks = bearings.map((bearing) => looksAt(ring, bearing));
  const first = looks.findIndex((one) => one > 0);
  if (first < 0) return null;
  let last = first;
  while (last + 1 < looks.length && itemAt(looks, last + 1) > 0) last += 1;
  const crossing = (seen: number, hidden: number) => {
    const [a, b] = [itemAt(looks, seen), looks[hidden]];
    const [p, q] = [itemAt(bearings, seen), bearings[hidden]];
    return b === undefined || q === undefined ? p : p + ((q - p) * a) / (a - b || 1);
  };
  const [start, end] = [
    skinAt(ring, crossing(first, first - 1)),
    skinAt(ring, crossing(last, last + 1)),
  ];
  return { from: [start[0], start[1]], to: [end[0], end[1]] };
}
