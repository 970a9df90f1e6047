'use client';

import { useEffect, useRef } from 'react';
import type { PackLine } from '@/core/exchange';
import { type Playhead, currentSegment, secondsLeft, sessionLeft } from '@/core/player';
import type { PlayedSegment } from '@/core/timeline';
import { formatClock } from '@/core/units';
import { BeginButton } from './begin-button';

export type PlayerFaceProps = {
  readonly head: Playhead;
  readonly lines: readonly PackLine[];
  readonly mode: 'ready' | 'running' | 'paused' | 'away';
  readonly sound: boolean;
  readonly onSound: (on: boolean) => void;
  readonly onBegin: () => void;
  readonly onPause: () => void;
  readonly onBack: () => void;
  readonly onSkip: () => void;
  readonly onStop: () => void;
  readonly onLeave: () => void;
};

/** The whole screen of a session: what to do now, its count, its side, what comes next. */
export function PlayerFace(props: PlayerFaceProps) {
  const { head, lines, mode } = props;
  const segment = currentSegment(head);
  const line = segment ? lines[segment.line] : undefined;
  const title = useRef<HTMLHeadingElement>(null);
  useEffect(() => title.current?.focus(), []);
  if (!segment || !line) return null;
  return (
    <section className="fixed inset-0 grid grid-rows-[auto_1fr_auto] bg-paper">
      <header className="mx-auto flex w-full max-w-2xl items-start justify-between gap-3 px-5 pt-4">
        <div>
          <p className="text-[0.84em] text-soft">
            Exercise {segment.line + 1} of {lines.length}
            {countText(segment, head)}
          </p>
          <h1 ref={title} tabIndex={-1} className="text-xl outline-none">
            {line.name}
          </h1>
        </div>
        <p className="figures whitespace-nowrap pt-1 text-soft">
          <span className="sr-only">Time left: </span>
          {formatClock(sessionLeft(head))}
        </p>
      </header>
      <div className="mx-auto grid w-full max-w-2xl content-center gap-4 overflow-auto px-5">
        {mode === 'ready' ? (
          <Ready line={line} />
        ) : (
          <Now head={head} segment={segment} line={line} />
        )}
        {mode === 'away' && (
          <p className="rounded border-2 border-lit p-3" role="status">
            The screen was off, so the count stood still. Nothing was counted that you may not have
            done.
          </p>
        )}
        {mode === 'paused' && <p role="status">Paused.</p>}
      </div>
      <Controls {...props} />
    </section>
  );
}

function Ready({ line }: { line: PackLine }) {
  return (
    <div className="grid gap-3">
      <ol className="grid list-decimal gap-2 pl-6">
        {line.steps.map((step) => (
          <li key={step}>{step}</li>
        ))}
      </ol>
      <p className="text-soft">{line.words}</p>
      {line.needs && <p>You need: {line.needs}.</p>}
    </div>
  );
}

function Now({ head, segment, line }: { head: Playhead; segment: PlayedSegment; line: PackLine }) {
  const word = wordOf(segment, line);
  const cue = cueOf(segment, line);
  return (
    <div className="grid grid-cols-[auto_minmax(0,1fr)] items-center gap-5">
      <RepRibs head={head} segment={segment} />
      <div className="grid gap-2">
        <p className="text-2xl font-semibold" data-testid="now">
          {word}
        </p>
        {segment.side && (
          <p className="justify-self-start rounded bg-ink px-3 py-1 text-lg font-semibold text-paper">
            {segment.side === 'left' ? 'Left side' : 'Right side'}
          </p>
        )}
        <p className="figures text-[4.2rem] font-semibold leading-none" aria-hidden>
          {formatClock(secondsLeft(head))}
        </p>
        {/* Said once when it changes, not at every second. */}
        <p className="sr-only" role="status" aria-live="assertive">
          {word}
          {segment.side ? `, ${segment.side} side` : ''}, {Math.round(segment.seconds)} seconds
        </p>
        <p className="min-h-[1.5em]">{cue}</p>
        <details>
          <summary className="min-h-11 py-2 text-action">How it goes</summary>
          <ol className="grid list-decimal gap-1 pl-6">
            {line.steps.map((step) => (
              <li key={step}>{step}</li>
            ))}
          </ol>
        </details>
      </div>
    </div>
  );
}

/** The lantern of this set: a rib for each repetition, lit as it is done. */
function RepRibs({ head, segment }: { head: Playhead; segment: PlayedSegment }) {
  const inSet = head.segments.flatMap((one, index) =>
    one.endsRep && sameSet(one, segment) ? [index] : [],
  );
  const done = inSet.filter((index) => index < head.index).length;
  const shown = Math.min(inSet.length, MOST_RIBS);
  const height = Math.max(7, Math.min(24, 190 / Math.max(1, shown)));
  const share = segment.work === null ? 0 : head.elapsed / Math.max(0.1, segment.seconds);
  return (
    <div aria-hidden className="grid w-20 justify-items-center gap-[3px]">
      <div className="h-1.5 w-9 rounded-sm bg-ink" />
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
      <div className="h-1.5 w-9 rounded-sm bg-ink" />
    </div>
  );
}

/** More ribs than this would be too thin to see. */
const MOST_RIBS = 24;

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

function countText(segment: PlayedSegment, head: Playhead): string {
  if (segment.rep === 0) return '';
  const mine = head.segments.filter(
    (one) => one.line === segment.line && one.round === segment.round && one.endsRep,
  );
  const most = (pick: (one: PlayedSegment) => number) => Math.max(...mine.map(pick));
  const parts = [
    most((one) => one.direction) > 1
      ? `direction ${segment.direction} of ${most((one) => one.direction)}`
      : '',
    most((one) => one.station) > 1
      ? `angle ${segment.station} of ${most((one) => one.station)}`
      : '',
    most((one) => one.set) > 1 ? `set ${segment.set} of ${most((one) => one.set)}` : '',
    `${segment.rep} of ${Math.max(...mine.filter((one) => one.set === segment.set).map((one) => one.rep))}`,
  ];
  return ` · ${parts.filter((part) => part !== '').join(' · ')}`;
}

function wordOf(segment: PlayedSegment, line: PackLine): string {
  switch (segment.kind) {
    case 'get-ready':
      return 'Get ready';
    case 'move':
      return segment.work === 'moved' && line.mode === 'moved' ? 'Move' : 'Go into it';
    case 'hold':
      if (segment.barrier > 0) return `Hold, pull ${segment.barrier}`;
      return line.mode === 'lain' ? 'Stay there' : 'Hold';
    case 'release':
      return 'Ease off';
    case 'gap':
      return 'Short pause';
    case 'rest':
      return 'Rest';
    case 'change-side':
      return 'Change side';
    case 'change-position':
      return segment.set > 0 ? 'Next direction' : `Now ${line.position}`;
    case 'next-exercise':
      return 'Next exercise';
  }
}

/** A short reminder on every third repetition, and what to fetch before an exercise. */
function cueOf(segment: PlayedSegment, line: PackLine): string {
  if (segment.kind === 'next-exercise' || segment.kind === 'get-ready') {
    return line.needs ? `You need: ${line.needs}. ${line.words}` : line.words;
  }
  const cue = line.cues[segment.rep % line.cues.length];
  return segment.work !== null && cue ? cue : '';
}

const SIDE_BUTTON = 'min-h-14 rounded border border-hair bg-sheet px-2 font-medium';

function Controls({
  mode,
  sound,
  onSound,
  onBegin,
  onPause,
  onBack,
  onSkip,
  onStop,
  onLeave,
  head,
  lines,
}: PlayerFaceProps) {
  const segment = currentSegment(head);
  const next = segment ? lines[segment.line + 1] : undefined;
  return (
    <footer className="mx-auto grid w-full max-w-2xl gap-3 px-5 pb-5">
      <p className="text-[0.84em] text-soft">
        {next ? `Then: ${next.name}` : 'This is the last exercise.'}
      </p>
      {mode === 'running' ? (
        <div className="grid grid-cols-3 gap-2">
          <button type="button" className={SIDE_BUTTON} onClick={onBack}>
            Back
          </button>
          <button type="button" className={SIDE_BUTTON} onClick={onPause}>
            Pause
          </button>
          <button type="button" className={SIDE_BUTTON} onClick={onSkip}>
            Skip
          </button>
        </div>
      ) : (
        <BeginButton onClick={onBegin}>{mode === 'ready' ? 'Start' : 'Go on'}</BeginButton>
      )}
      {mode === 'ready' ? (
        <button type="button" className="min-h-12 text-action underline" onClick={onLeave}>
          Not now
        </button>
      ) : (
        <button
          type="button"
          onClick={onStop}
          className="min-h-16 rounded bg-stop text-xl font-bold uppercase tracking-wide text-on-stop"
        >
          Stop
        </button>
      )}
      <button
        type="button"
        className="min-h-11 text-[0.84em] text-action underline"
        aria-pressed={sound}
        onClick={() => onSound(!sound)}
      >
        Sound {sound ? 'on' : 'off'}
      </button>
    </footer>
  );
}
