'use client';

import type { PlayerFaceProps } from './player-face-props';
import { useEffect, useRef } from 'react';
import type { PackLine } from '@/core/exchange';
import { cueAt, currentSegment, isBeforeSet, secondsLeft, sessionLeft } from '@/core/player';
import type { PlayedSegment } from '@/core/timeline';
import { formatClock, seconds } from '@/core/units';
import { FigureKey } from '../figure/figure-key';
import { Framed } from '../figure/framed';
import { FigureMoving } from '../figure/moving';
import { BeginButton } from './begin-button';
import { HowManyBox } from './how-many';
import { Felt, SetUp, Steps } from './line-words';
import { Controls } from './player-controls';
import { Beside } from './beside';
import { useSay } from './say';
import { SegmentNow } from './segment-now';
import { countParts, cueWords, segmentWord, sideWords, wayWord } from './segment-words';
import { SoundChoices } from './sound-choices';

/** The whole screen of a session: the figure, what to do now, its count, its side, what comes next. */
export function PlayerFace(props: PlayerFaceProps) {
  const { head, lines, mode } = props;
  const say = useSay();
  const segment = currentSegment(head);
  const line = segment ? lines[segment.line] : undefined;
  const title = useRef<HTMLHeadingElement>(null);
  useEffect(() => title.current?.focus(), []);
  // A question that was answered goes; whoever answered it begins at the name again.
  const asks = props.counting !== null;
  const asked = useRef(asks);
  useEffect(() => {
    if (asked.current && !asks) title.current?.focus();
    asked.current = asks;
  }, [asks]);
  if (!segment || !line) return null;
  const { way, count } = countParts(segment, head.segments, line, say);
  return (
    <section className="player" data-far={props.chosen.far || undefined}>
      <header className="player-head flex items-start justify-between gap-3">
        <div className="min-w-0">
          <p className="text-[0.84em] text-soft">
            {say('player.exercise', { nth: segment.line + 1, count: lines.length })}
            {way && <span className="player-place-way"> · {way}</span>}
            {count && ` · ${count}`}
          </p>
          <h1 ref={title} tabIndex={-1} className="outline-none" dir="auto">
            {line.name}
          </h1>
          {line.complaint !== undefined && (
            <p className="text-[0.84em] leading-snug text-soft" dir="auto">
              {say('today.for', { complaint: line.complaint })}
            </p>
          )}
        </div>
        <p className="figures pt-1 whitespace-nowrap text-soft">
          <span className="sr-only">{say('player.timeLeft')} </span>
          {formatClock(sessionLeft(head))}
        </p>
      </header>
      {line.figure && props.counting === null && (
        <div className="player-figure">
          <Framed
            side={wayWord(segment, line, say) || (line.drawnSide ?? '')}
            signs={line.signs ?? []}
            className="h-full w-full"
          >
            <FigureMoving
              key={line.lineage}
              figure={line.figure}
              side={segment.side ?? 'right'}
              moment={props.moment}
              running={mode === 'running'}
              label={line.description}
              className="min-h-0 w-full flex-1"
            />
          </Framed>
        </div>
      )}
      {mode !== 'ready' && (
        <div className="player-now">
          {props.counting ? (
            <Meanwhile {...props} segment={segment} line={line} />
          ) : (
            <Now {...props} segment={segment} line={line} />
          )}
        </div>
      )}
      {/* What does not fit is scrolled to, by keys as well. */}
      <div
        className="player-more flex flex-col gap-2 *:shrink-0"
        tabIndex={0}
        role="group"
        aria-label={line.name}
      >
        {mode === 'away' && (
          <p className="rounded border-2 border-lit p-3" role="status">
            {say('player.away')}
          </p>
        )}
        {mode === 'paused' && <p role="status">{say('player.paused')}</p>}
        {props.counting ? (
          <Question {...props} />
        ) : mode === 'ready' ? (
          <Ready line={line} />
        ) : (
          <How {...props} segment={segment} line={line} />
        )}
        <details className="player-options">
          <summary className="min-h-11 py-2 text-action">{say('player.options')}</summary>
          <SoundChoices chosen={props.chosen} onChoose={props.onChoose} />
        </details>
      </div>
      <Controls {...props} />
    </section>
  );
}

/** The pause that goes on while the number is asked for, in one line. */
function Meanwhile({
  head,
  segment,
  line,
}: Pick<PlayerFaceProps, 'head'> & { segment: PlayedSegment; line: PackLine }) {
  const say = useSay();
  return (
    <p className="flex items-baseline justify-between gap-3 text-xl font-semibold">
      <span data-testid="now">
        {[segmentWord(segment, line, say), wayWord(segment, line, say)]
          .filter((word) => word !== '')
          .join(', ')}
      </span>
      <span className="figures" aria-hidden>
        {formatClock(secondsLeft(head))}
      </span>
    </p>
  );
}

/** How many it was: asked while the pause after the set goes on. */
export function Question({
  counting,
  countBefore,
  lines,
  onCount,
}: Pick<PlayerFaceProps, 'counting' | 'countBefore' | 'lines' | 'onCount'>) {
  const line = counting && lines[counting.line];
  if (!counting || !line) return null;
  const { set, side, direction, station, round } = counting;
  return (
    <HowManyBox
      // Every set begins with its own numbers.
      key={[counting.line, round, side, direction, station, set].join(' ')}
      counting={counting}
      line={line}
      before={countBefore}
      onCount={onCount}
    />
  );
}

function Ready({ line }: { line: PackLine }) {
  const say = useSay();
  return (
    <div className="grid gap-3">
      <SetUp line={line} />
      <Steps line={line} />
      <p className="text-soft">{line.how ?? line.words}</p>
      {line.beside && <Beside language="en">{line.beside}</Beside>}
      {line.needs && <p>{say('player.needs', { needs: line.needs })}</p>}
      <Felt line={line} />
    </div>
  );
}

/** What is done now, and what is pressed when it is done. */
function Now({
  head,
  own,
  mode,
  onTap,
  onLess,
  segment,
  line,
}: PlayerFaceProps & { segment: PlayedSegment; line: PackLine }) {
  const say = useSay();
  const waits = segment.work === null && segment.kind !== 'move' && segment.kind !== 'release';
  return (
    <SegmentNow
      head={head}
      segment={segment}
      line={line}
      shown={own === null ? secondsLeft(head) : seconds(own)}
      sideSaid={false}
      spoken
    >
      {mode === 'running' && (own !== null || waits) && (
        <BeginButton onClick={onTap} isLow>
          {say(own !== null && !waits ? 'player.tapDone' : 'player.ready')}
        </BeginButton>
      )}
      {mode === 'running' && segment.untilFormFails && segment.rep > 0 && !isBeforeSet(segment) && (
        <BeginButton onClick={onLess} isLow>
          {say('player.lastGood')}
        </BeginButton>
      )}
    </SegmentNow>
  );
}

/** Which side in full, the cue, and how it goes: read, and scrolled where the screen is small. */
function How({
  head,
  own,
  segment,
  line,
}: PlayerFaceProps & { segment: PlayedSegment; line: PackLine }) {
  const say = useSay();
  const isSettingUp = segment.kind === 'next-exercise' || segment.kind === 'get-ready';
  const cue = isSettingUp
    ? [line.needs && say('player.needs', { needs: line.needs }), line.how ?? line.words]
        .filter(Boolean)
        .join(' ')
    : cueWords(cueAt(segment, own ?? head.elapsed, line.dose.breath, line.cues), say);
  // While getting ready the dose's own words say it.
  const side = segment.kind === 'get-ready' ? '' : sideWords(segment, line);
  return (
    <>
      {side !== '' && <p>{side}</p>}
      <p className="min-h-[1.5em]" dir="auto">
        {cue}
      </p>
      {isSettingUp && line.beside && <Beside language="en">{line.beside}</Beside>}
      {isSettingUp && <SetUp line={line} />}
      <details>
        <summary className="min-h-11 py-2 text-action">{say('player.how')}</summary>
        <div className="grid gap-2">
          <SetUp line={line} />
          <Steps line={line} />
          <Felt line={line} />
          {line.figure && (
            <details>
              <summary className="min-h-11 py-2 text-action">{say('player.key')}</summary>
              <FigureKey say={(sign) => say(sign === null ? 'player.key' : `player.key.${sign}`)} />
            </details>
          )}
        </div>
      </details>
    </>
  );
}
