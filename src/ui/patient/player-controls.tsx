'use client';

import { type CSSProperties, type Ref, useEffect, useRef } from 'react';
import { currentSegment, isBeforeSet } from '@/core/player';
import { BeginButton } from './begin-button';
import type { PlayerFaceProps } from './player-face-props';
import { useSay } from './say';

const SIDE_BUTTON =
  'player-side min-h-[48px] rounded border border-edge bg-sheet px-0.5 font-medium leading-tight';

/** What can be pressed: the way through the session, and always the way out of it. */
export function Controls({
  mode,
  head,
  lines,
  onBegin,
  onPause,
  onBack,
  onRepeat,
  onLess,
  onSkip,
  onStop,
  onHurt,
  onLeave,
}: PlayerFaceProps) {
  const say = useSay();
  const segment = currentSegment(head);
  const next = segment ? lines[segment.line + 1] : undefined;
  // Pausing takes the pressed button away, and so does going on: the keyboard goes to what undoes it.
  const main = useRef<HTMLButtonElement>(null);
  const before = useRef(mode);
  useEffect(() => {
    if (before.current !== mode) main.current?.focus();
    before.current = mode;
  }, [mode]);
  return (
    <footer className="player-controls grid gap-1.5">
      <p className="truncate text-[0.84em] text-soft" dir="auto">
        {next ? say('player.then', { next: next.name }) : say('player.last')}
      </p>
      {mode === 'running' ? (
        <div className="grid grid-cols-5 gap-1.5 text-[0.84em]">
          <Side onClick={onBack}>{say('player.back')}</Side>
          <Side onClick={onRepeat}>{say('player.repeat')}</Side>
          <Side onClick={onPause} ref={main}>
            {say('player.pause')}
          </Side>
          <Side onClick={onLess}>
            {say(segment && isBeforeSet(segment) ? 'player.lessNext' : 'player.less')}
          </Side>
          <Side onClick={onSkip}>{say('player.skip')}</Side>
        </div>
      ) : (
        <BeginButton onClick={onBegin} ref={main} isLow>
          {say(mode === 'ready' ? 'player.start' : 'player.goOn')}
        </BeginButton>
      )}
      {mode === 'ready' ? (
        <button type="button" className="min-h-[44px] text-action underline" onClick={onLeave}>
          {say('first.notNow')}
        </button>
      ) : (
        <div className="grid grid-cols-[2fr_3fr] gap-2">
          <button
            type="button"
            onClick={onStop}
            className="min-h-[64px] rounded bg-stop text-[1.25em] font-bold tracking-wide text-on-stop uppercase"
          >
            {say('player.stop')}
          </button>
          <button
            type="button"
            onClick={onHurt}
            className="min-h-[64px] rounded border-2 border-stop px-2 leading-tight font-semibold text-stop"
          >
            {say('player.wrong')}
          </button>
        </div>
      )}
    </footer>
  );
}

/** One of five side by side: its longest word finds room whatever the language and the size of text. */
function Side({
  onClick,
  ref,
  children,
}: {
  onClick: () => void;
  ref?: Ref<HTMLButtonElement>;
  children: string;
}) {
  const letters = Math.max(...children.split(/\s+/).map((word) => [...word].length));
  return (
    <button type="button" ref={ref} className={SIDE_BUTTON} onClick={onClick}>
      <span style={{ '--letters': letters } as CSSProperties}>{children}</span>
    </button>
  );
}
