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
    <div className="flex items-center gap-5">
      <RepRibs head={head} segment={segment} />
      <div className="grid min-w-0 flex-1 gap-2">
        <div className="player-said">
          <div className="grid justify-items-start gap-1">
            <p className="player-word" data-testid="now">
              {segmentWord(segment, line, say)}
            </p>
            {way && (
              <p className="player-way rounded bg-ink px-3 py-0.5 font-semibold text-paper">
                {way}
              </p>
            )}
          </div>
          {side && <p>{side}</p>}
          <p className="player-clock figures" data-testid="left" aria-hidden>
            {formatClock(shown)}
          </p>
        </div>
        {/* Said once when it changes, not at every second. */}
        <p className="sr-only" role="status" aria-live="assertive">
          {spoken ? segmentSpoken(segment, line, say, head.segments) : ''}
        </p>
        {children}
      </div>
    </div>
  );
}
