'use client';

import { type BodyPart, REGIONS, type RegionId, type View, partOf } from '@/core/symptoms';

/** Where each part lies on the right half of a figure facing away; x from the mid-line, y down. */
const SHAPES: Readonly<
  Record<BodyPart, readonly [x1: number, y1: number, x2: number, y2: number, width: number]>
> = {
  head: [9, 22, 9, 34, 20],
  neck: [7, 54, 7, 62, 14],
  'upper back': [14, 82, 14, 120, 26],
  chest: [14, 82, 14, 120, 26],
  shoulder: [34, 78, 40, 84, 17],
  'upper arm': [45, 97, 51, 124, 14],
  elbow: [54, 139, 55, 143, 13],
  forearm: [58, 157, 64, 182, 12],
  hand: [67, 196, 69, 202, 12],
  fingers: [71, 213, 74, 224, 9],
  'low back': [12, 138, 12, 156, 22],
  buttock: [14, 176, 14, 182, 25],
  thigh: [16, 200, 18, 244, 22],
  knee: [19, 264, 19, 270, 18],
  calf: [20, 288, 21, 324, 16],
  foot: [23, 344, 25, 350, 14],
  toes: [28, 364, 32, 366, 9],
};
/** The front shows the belly where the back shows low back and buttock; it is not marked. */
const HALF = 92;

function place(region: RegionId): {
  x1: number;
  y1: number;
  x2: number;
  y2: number;
  width: number;
} {
  const [x1, y1, x2, y2, width] = SHAPES[partOf(region)];
  // Seen from behind the right side is on the right; seen from the front it is on the left.
  const [view, side] = region.split(' ');
  const sign = (view === 'back') === (side === 'right') ? 1 : -1;
  return { x1: HALF + sign * x1, y1, x2: HALF + sign * x2, y2, width };
}

/** What the drawing calls itself and its parts. */
export type BodyWords = {
  readonly picture: (view: View) => string;
  readonly caption: (view: View) => string;
  readonly region: (region: RegionId) => string;
};

/** For the clinic's pages, whose texts are English. */
const ENGLISH: BodyWords = {
  picture: (view) => `Body, ${view}`,
  caption: (view) => (view === 'front' ? 'front (right is on your left)' : 'back'),
  region: (region) => region,
};

/**
 * One side of a body whose parts are marked by pressing them.
 *
 * @param words the patient's own language; English without them
 * @param expected parts where something should be felt: drawn with a second outline
 */
export function BodyDrawing({
  view,
  marked,
  expected = [],
  onToggle,
  size = 'h-96',
  words = ENGLISH,
}: {
  view: View;
  marked: readonly RegionId[];
  expected?: readonly BodyPart[];
  onToggle: (region: RegionId) => void;
  size?: string;
  words?: BodyWords;
}) {
  return (
    <figure className="grid justify-items-center gap-1">
      <svg
        viewBox={`0 0 ${HALF * 2} 380`}
        className={size}
        role="group"
        aria-label={words.picture(view)}
      >
        <path
          d={`M ${HALF - 22} 68 L ${HALF + 22} 68 L ${HALF + 27} 190 L ${HALF - 27} 190 Z`}
          fill="var(--sheet)"
        />
        {REGIONS.filter((region) => region.startsWith(view)).map((region) => {
          const { width, ...line } = place(region);
          const on = marked.includes(region);
          const wanted = expected.includes(partOf(region));
          return (
            <g
              key={region}
              role="checkbox"
              aria-checked={on}
              aria-label={
                wanted ? `${words.region(region)}, where it should be felt` : words.region(region)
              }
              tabIndex={0}
              className="cursor-pointer outline-offset-1"
              onClick={() => onToggle(region)}
              onKeyDown={(event) => {
                if (event.key !== ' ' && event.key !== 'Enter') return;
                event.preventDefault();
                onToggle(region);
              }}
            >
              {wanted && (
                <line {...line} stroke="var(--lit)" strokeWidth={width + 7} strokeLinecap="round" />
              )}
              <line
                {...line}
                stroke={on ? 'var(--plum)' : 'var(--dark-rib)'}
                strokeWidth={width + 2}
                strokeLinecap="round"
              />
              <line
                {...line}
                stroke={on ? 'var(--plum)' : 'var(--sheet)'}
                strokeWidth={width}
                strokeLinecap="round"
              />
            </g>
          );
        })}
      </svg>
      <figcaption className="text-soft">{words.caption(view)}</figcaption>
    </figure>
  );
}
