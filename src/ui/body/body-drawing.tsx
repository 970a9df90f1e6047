'use client';

import drawn from '@/catalogue/body-map.json';
import { type BodyPart, type RegionId, type View, isRegion, partOf } from '@/core/symptoms';

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
 * One side of the drawn body, whose parts are marked by pressing them.
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
  const { box, body, regions } = drawn[view];
  return (
    <figure className="grid justify-items-center gap-1">
      <svg
        viewBox={box.join(' ')}
        className={`figure body-map ${size}`}
        role="group"
        aria-label={words.picture(view)}
      >
        {body.map(({ tone, d }, index) => (
          // Shapes are places in one picture; their order never changes.
          <path key={index} className={tone} d={d} />
        ))}
        {regions.map(({ id, d }) => {
          if (!isRegion(id)) return null;
          const on = marked.includes(id);
          const wanted = expected.includes(partOf(id));
          return (
            <path
              key={id}
              d={d}
              role="checkbox"
              aria-checked={on}
              aria-label={
                wanted ? `${words.region(id)}, where it should be felt` : words.region(id)
              }
              tabIndex={0}
              className={`part ${on ? 'marked' : ''} ${wanted ? 'wanted' : ''}`}
              onClick={() => onToggle(id)}
              onKeyDown={(event) => {
                if (event.key !== ' ' && event.key !== 'Enter') return;
                event.preventDefault();
                onToggle(id);
              }}
            />
          );
        })}
      </svg>
      <figcaption className="text-soft">{words.caption(view)}</figcaption>
    </figure>
  );
}
