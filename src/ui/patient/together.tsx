'use client';

import { useCallback, useEffect, useMemo, useState } from 'react';
import type { PackLine } from '@/core/exchange';
import { type Moment, momentOf } from '@/core/figure';
import { cueAt, currentSegment, isOver, secondsLeft } from '@/core/player';
import type { Instant } from '@/core/schedule';
import { type SharedCount, headOfShared } from '@/core/share';
import { sessionTimeline, toPlay } from '@/core/timeline';
import { Framed } from '../figure/framed';
import { FigureMoving, wantsStill } from '../figure/moving';
import { useServerClock } from '../share/use-server-clock';
import { BeginButton } from './begin-button';
import { Felt, SetUp, Steps } from './line-words';
import { useSay } from './say';
import { SegmentNow } from './segment-now';
import { countWords, cueWords, wayWord } from './segment-words';
import { useLookingOn } from './use-looking-on';
import { useSignals } from './use-signals';
import type { Ahead } from './use-tones';

/** Nothing sounds here: the clinic is heard on the telephone. */
const SILENT = { tones: false, voice: false, vibration: false } as const;
const NOTHING_AHEAD: Ahead = [];

/** The page a patient keeps open while the clinic shows exercises by phone or video. */
export function Together() {
  const say = useSay();
  const { message, lost, again } = useLookingOn();
  const clock = useServerClock();
  const kind = message?.kind ?? 'nothing';
  return (
    <div className="grid gap-4">
      {lost && (
        <p className="rounded border-2 border-lit p-3" role="alert">
          {say('together.lost')}
        </p>
      )}
      {kind === 'nothing' && <p role="status">{say('together.waiting')}</p>}
      {kind === 'between' && <p role="status">{say('together.between')}</p>}
      {kind === 'ended' && (
        <>
          <p role="status">{say('together.ended')}</p>
          <BeginButton onClick={again}>{say('together.again')}</BeginButton>
        </>
      )}
      {message?.kind === 'shown' && (
        <Shown
          key={message.line.lineage}
          line={message.line}
          count={message.count}
          clock={clock}
          stands={lost || message.silent}
          silent={message.silent && !lost}
        />
      )}
    </div>
  );
}

/** The exercise that is shown, its figure and its count, in step with the clinic's. */
function Shown({
  line,
  count,
  clock,
  stands,
  silent,
}: {
  line: PackLine;
  count: SharedCount;
  clock: { readonly now: () => Instant };
  /** Nobody knows whether the clinic's count goes on: this one stands still. */
  stands: boolean;
  silent: boolean;
}) {
  const say = useSay();
  const segments = useMemo(
    () =>
      toPlay(
        sessionTimeline([{ dose: line.dose, mode: line.mode, position: line.position }]),
        'least',
      ),
    [line],
  );
  const stoodAt = useMemo(() => (stands ? clock.now() : null), [stands, clock]);
  const headNow = useCallback(
    () => headOfShared(segments, count, stoodAt ?? clock.now()),
    [segments, count, stoodAt, clock],
  );
  const [head, setHead] = useState(headNow);
  const running = count.running && !stands && !isOver(head);
  useEffect(() => {
    setHead(headNow());
    if (!count.running || stands) return;
    const timer = setInterval(() => setHead(headNow()), 100);
    return () => clearInterval(timer);
  }, [headNow, count, stands]);
  const segment = currentSegment(head);
  useSignals({
    segment,
    index: head.index,
    running,
    ahead: NOTHING_AHEAD,
    chosen: SILENT,
    spoken: '',
    language: '',
  });
  const moment = useCallback((): Moment => {
    const now = headNow();
    const current = currentSegment(now);
    if (!line.figure || !current) return { along: 0, side: 'right' };
    return momentOf(line.figure, current, now.elapsed, wantsStill(), line.directions ?? []);
  }, [headNow, line]);
  const cue = segment && cueWords(cueAt(segment, head.elapsed, line.dose.breath, line.cues), say);
  const way = segment ? wayWord(segment, line, say) : '';
  return (
    <section className="grid gap-3" aria-label={line.name}>
      <header className="flex items-baseline justify-between gap-3">
        <h2 className="text-xl" dir="auto">
          {line.name}
        </h2>
        <p className="text-small text-soft">
          {segment && countWords(segment, head.segments, line, say)}
        </p>
      </header>
      {silent && (
        <p className="rounded border-2 border-lit p-3" role="alert">
          {say('together.silent')}
        </p>
      )}
      {line.figure && (
        <Framed
          side={way || (line.drawnSide ?? '')}
          signs={line.signs ?? []}
          className="h-[34dvh] min-h-40 w-full"
        >
          <FigureMoving
            figure={line.figure}
            side={segment?.side ?? 'right'}
            moment={moment}
            running={running}
            label={line.description}
            className="min-h-0 w-full flex-1"
          />
        </Framed>
      )}
      {segment ? (
        <SegmentNow
          head={head}
          segment={segment}
          line={line}
          shown={secondsLeft(head)}
          sideSaid
          spoken={running}
        >
          <p className="min-h-[1.5em]" dir="auto">
            {running || silent || stands ? cue : say('together.paused')}
          </p>
        </SegmentNow>
      ) : (
        <p role="status" className="text-xl font-semibold">
          {say('together.over')}
        </p>
      )}
      <p className="font-semibold text-stop">{say('together.stop')}</p>
      <p className="text-small text-soft">{say('together.notCounted')}</p>
      <details>
        <summary className="min-h-11 py-2 text-action">{say('player.how')}</summary>
        <div className="grid gap-2">
          <SetUp line={line} />
          <Steps line={line} />
          <p className="text-soft">{line.words}</p>
          <Felt line={line} />
        </div>
      </details>
    </section>
  );
}
