'use client';

import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { type BoutMode, type DirectionName, type Dose, type Sides, doseSigns } from '@/core/dose';
import { sayToClinician } from '@/catalogue';
import { type Figure, type Moment, momentOf } from '@/core/figure';
import { advance, currentSegment, isOver, secondsLeft, startAt } from '@/core/player';
import { type PlayedSegment, sessionTimeline, toPlay, totalSeconds } from '@/core/timeline';
import { formatClock, seconds } from '@/core/units';
import { Framed } from '../figure/framed';
import { FigureMoving, wantsStill } from '../figure/moving';
import { Button } from '../primitives/button';
import type { CountNow } from '../share/use-showing';

const WORD: Readonly<Record<PlayedSegment['kind'], string>> = {
  'get-ready': 'Get ready',
  move: 'Move',
  hold: 'Hold',
  release: 'Ease off',
  gap: 'Pause',
  rest: 'Rest',
  'change-side': 'Change side',
  'next-direction': 'Next direction',
  'next-angle': 'Next angle',
  'change-position': 'New position',
  'next-exercise': 'Next',
};

const SIDE = { left: 'Left side', right: 'Right side' } as const;

/** Counts the dose aloud with its real pauses while the figure moves to it. */
export function AloudCounter({
  dose,
  mode,
  position,
  directions,
  sides,
  figure,
  name,
  onCount,
}: {
  dose: Dose;
  mode: BoutMode;
  position: string;
  /** Its directions by name, in the order they come; empty where they have none. */
  directions: readonly DirectionName[];
  sides: Sides | null;
  figure: Figure | null;
  name: string;
  /** Told where the count stands whenever it does not simply go on. */
  onCount?: (count: CountNow) => void;
}) {
  const segments = useMemo(
    () => toPlay(sessionTimeline([{ dose, mode, position }]), 'least'),
    [dose, mode, position],
  );
  const [head, setHead] = useState(() => startAt(segments, 0));
  const [running, setRunning] = useState(false);
  const [aloud, setAloud] = useState(true);
  const now = useRef(head);
  /** When `now` was true, so that the figure moves evenly between the counter's steps. */
  const trueAt = useRef(0);
  const segment = currentSegment(head);

  const put = useCallback((next: typeof head) => {
    now.current = next;
    setHead(next);
  }, []);

  useEffect(() => {
    if (!running) return;
    let last = performance.now();
    trueAt.current = last;
    const timer = setInterval(() => {
      const at = performance.now();
      put(advance(now.current, seconds((at - last) / 1000)).playhead);
      last = at;
      trueAt.current = at;
      if (isOver(now.current)) setRunning(false);
    }, 100);
    return () => clearInterval(timer);
  }, [running, put]);

  const [restarts, setRestarts] = useState(0);
  useEffect(() => {
    const { index, elapsed } = now.current;
    onCount?.({ index, elapsed, running });
  }, [running, restarts, onCount]);

  // The word when it changes; within a hold or pause its seconds.
  const left = segment ? Math.ceil(secondsLeft(head)) : 0;
  const place = head.index;
  const kind = segment?.kind;
  const way = segment ? wayOf(segment, directions, sides) : '';
  const said = kind ? [WORD[kind], way].filter((word) => word !== '').join(', ') : '';
  useEffect(() => {
    if (running && aloud && said !== '') speak(said);
    // A new segment is said again, also in the same words.
  }, [running, aloud, place, said]);
  const counted = kind === 'hold' && segment ? Math.round(segment.seconds) - left : 0;
  useEffect(() => {
    if (running && aloud && counted > 0) speak(String(counted));
  }, [running, aloud, counted]);
  useEffect(() => () => silence(), []);

  const moment = useCallback((): Moment => {
    const current = currentSegment(now.current);
    if (!figure || !current) return { along: 0, side: 'right' };
    const since = running ? (performance.now() - trueAt.current) / 1000 : 0;
    const elapsed = Math.min(current.seconds, now.current.elapsed + since);
    return momentOf(figure, current, elapsed, wantsStill(), directions);
  }, [figure, running, directions]);

  return (
    <section aria-label={`Count ${name}`} className="grid gap-2">
      {figure && (
        <Framed side={segment?.side ? SIDE[segment.side] : ''} signs={doseSigns(dose, mode)}>
          <FigureMoving
            figure={figure}
            side={segment?.side ?? 'right'}
            moment={moment}
            running={running}
            label={`${name}, moving at the tempo of the dose`}
            className="max-h-52 w-full"
          />
        </Framed>
      )}
      <p className="flex items-baseline gap-3">
        <span className="text-lg font-semibold" data-testid="now">
          {segment ? WORD[segment.kind] : 'Done'}
        </span>
        {segment && segment.rep > 0 && (
          <span className="text-soft">
            {segment.set > 0 && `set ${segment.set}, `}
            {segment.rep}
            {way !== '' && `, ${way}`}
          </span>
        )}
        <span className="figures ml-auto text-2xl" data-testid="left" aria-hidden>
          {segment ? formatClock(secondsLeft(head)) : ''}
        </span>
      </p>
      <p className="sr-only" role="status">
        {running ? said : ''}
      </p>
      <div className="flex flex-wrap gap-2">
        <Button
          size="hand"
          onClick={() => {
            if (isOver(now.current)) put(startAt(segments, 0));
            setRunning(!running);
          }}
        >
          {running ? 'Pause the count' : 'Count it'}
        </Button>
        <Button
          size="hand"
          onClick={() => {
            setRunning(false);
            put(startAt(segments, 0));
            setRestarts((before) => before + 1);
          }}
        >
          From the start
        </Button>
        <Button size="hand" aria-pressed={aloud} onClick={() => setAloud(!aloud)}>
          Voice {aloud ? 'on' : 'off'}
        </Button>
      </div>
      <p className="text-small text-soft">
        With all its pauses: {formatClock(totalSeconds(segments))}.
      </p>
    </section>
  );
}

/** Where this goes, in words: a direction by its name, a side in full where it is changed to. */
function wayOf(
  { kind, side, direction }: PlayedSegment,
  directions: readonly DirectionName[],
  sides: Sides | null,
): string {
  const name = directions[direction - 1];
  if (name) return sayToClinician({ key: `direction.${name}`, values: {} });
  if (!side) return '';
  return kind === 'change-side' || kind === 'get-ready' ? (sides?.[side] ?? side) : side;
}

/** By the browser's own voice, where it has one. */
function speak(text: string): void {
  if (!('speechSynthesis' in window)) return;
  window.speechSynthesis.cancel();
  window.speechSynthesis.speak(new SpeechSynthesisUtterance(text));
}

function silence(): void {
  if (typeof window !== 'undefined' && 'speechSynthesis' in window) window.speechSynthesis.cancel();
}
