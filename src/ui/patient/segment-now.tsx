import type { ReactNode } from 'react';
import type { PackLine } from '@/core/exchange';
import type { Playhead } from '@/core/player';
import type { PlayedSegment } from '@/core/timeline';
import { type Seconds, formatClock } from '@/core/units';
import { RepRibs } from './rep-ribs';
import { useSay } from './say';
import { segmentSpoken, segmentWord, sideWords, wayWord } from './segment-words';

/** What is done now, on which side, and its count: the same in the player and beside the clinic. */
export function SegmentNow({
  head,
  segment,
  line,
  shown,
  sideSaid,
  spoken,
  children,
}: {
  head: Playhead;
  segment: PlayedSegment;
  line: PackLine;
  /** What the clock shows. */
  shown: Seconds;
  /** Whether the side's own words stand here: while getting ready others may say it. */
  sideSaid: boolean;
  /** Whether it is read out when it changes. */
  spoken: boolean;
  /** What can be done, and how. */
  children: ReactNode;
}) {
  const say = useSay();
  const way = wayWord(segment, line, say);
  const side = sideSaid ? sideWords(segment, line) : '';
  return (
    <div className="grid grid-cols-[auto_minmax(0,1fr)] items-center gap-5">
      <RepRibs head={head} segment={segment} />
      <div className="grid gap-2">
        <p className="text-2xl font-semibold" data-testid="now">
          {segmentWord(segment, line, say)}
        </p>
        {way && (
          <p className="justify-self-start rounded bg-ink px-3 py-1 text-lg font-semibold text-paper">
            {way}
          </p>
        )}
        {side && <p>{side}</p>}
        <p
          className="figures text-[3.6rem] leading-none font-semibold"
          data-testid="left"
          aria-hidden
        >
          {formatClock(shown)}
        </p>
        {/* Said once when it changes, not at every second. */}
        <p className="sr-only" role="status" aria-live="assertive">
          {spoken ? segmentSpoken(segment, line, say) : ''}
        </p>
        {children}
      </div>
    </div>
  );
}
