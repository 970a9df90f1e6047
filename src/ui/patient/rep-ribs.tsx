import type { Playhead } from '@/core/player';
import type { PlayedSegment } from '@/core/timeline';

/** More ribs than this would be too thin to see. */
const MOST_RIBS = 24;

/** The lantern of this set: a rib for each repetition, lit as it is done. */
export function RepRibs({ head, segment }: { head: Playhead; segment: PlayedSegment }) {
  const inSet = head.segments.flatMap((one, index) =>
    one.endsRep && sameSet(one, segment) ? [index] : [],
  );
  const done = inSet.filter((index) => index < head.index).length;
  const shown = Math.min(inSet.length, MOST_RIBS);
  const height = Math.max(6, Math.min(22, 150 / Math.max(1, shown)));
  const share = segment.work === null ? 0 : head.elapsed / Math.max(0.1, segment.seconds);
  return (
    <div aria-hidden className="rep-ribs grid w-16 justify-items-center gap-[3px]">
      <div className="h-1.5 w-8 rounded-sm bg-ink" />
      {Array.from({ length: shown }, (_, index) => (
        <div
          // Ribs are places; their order never changes.
          key={index}
          className="overflow-hidden rounded-full border border-dark-rib bg-sheet"
          style={{ height, width: `${60 + 40 * Math.sin(((index + 0.5) / shown) * Math.PI)}%` }}
        >
          <div
            className="h-full bg-lit"
            style={{ width: `${100 * (index < done ? 1 : index === done ? share : 0)}%` }}
          />
        </div>
      ))}
      <div className="h-1.5 w-8 rounded-sm bg-ink" />
    </div>
  );
}

function sameSet(a: PlayedSegment, b: PlayedSegment): boolean {
  return (
    a.line === b.line &&
    a.round === b.round &&
    a.set === Math.max(1, b.set) &&
    a.direction === Math.max(1, b.direction) &&
    a.station === Math.max(1, b.station) &&
    (a.side === b.side || b.side === null)
  );
}
