'use client';

import { useEffect, useMemo, useRef } from 'react';
import { type Figure, type Film, type Moment, filmOf } from '@/core/figure';
import { paint } from './paint';

/**
 * A figure that shows whatever moment it is told, by `moment` being asked at every frame. Only the
 * markup of the picture changes; nothing is laid out or rendered anew.
 *
 * @param moment where the figure is now; asked while `running`, and once when it stops
 */
export function FigureMoving({
  figure,
  side,
  moment,
  running,
  label,
  className = '',
}: {
  figure: Figure;
  side: Moment['side'];
  moment: () => Moment;
  running: boolean;
  label: string;
  className?: string;
}) {
  const shapes = useRef<SVGGElement>(null);
  const inset = useRef<SVGGElement>(null);
  const films = useMemo(() => filmsOf(figure), [figure]);
  const ask = useRef(moment);
  useEffect(() => {
    ask.current = moment;
  });

  useEffect(() => {
    let frame = 0;
    function show() {
      const now = ask.current();
      if (shapes.current) paint(shapes.current, films(now.side).at(now.along));
    }
    function tick() {
      show();
      frame = requestAnimationFrame(tick);
    }
    if (running) tick();
    else show();
    return () => cancelAnimationFrame(frame);
  }, [films, running]);

  // What comes is drawn while nothing moves yet, so that no movement waits for a drawing.
  useEffect(() => whileIdle(films(side).drawNext), [films, side]);

  // Paused, a step back or forward still changes the picture.
  useEffect(() => {
    if (running || !shapes.current) return;
    const now = ask.current();
    paint(shapes.current, films(now.side).at(now.along));
  });

  // The markup is made of numbers by our own drawing; no text of anybody's is in it.
  useEffect(() => {
    if (inset.current) inset.current.innerHTML = films(side).inset;
  }, [films, side]);

  return (
    <svg
      viewBox={films(side).box.join(' ')}
      className={`figure ${className}`}
      role="img"
      aria-label={label}
    >
      <g ref={shapes} />
      <g ref={inset} />
    </svg>
  );
}

/** A figure's films, each made when its side is first shown. */
function filmsOf(figure: Figure): (side: Moment['side']) => Film {
  const made = new Map<Moment['side'], Film>();
  return (side) => {
    const film = made.get(side) ?? filmOf(figure, { side, before: true });
    made.set(side, film);
    return film;
  };
}

/** Where the browser does not say when it is idle, one piece of work so often, in milliseconds. */
const PAUSE_MS = 40;

/**
 * Does work in pieces while the page has nothing else to do.
 *
 * @param piece false when there is no more
 * @returns what ends it
 */
function whileIdle(piece: () => boolean): () => void {
  let ended = false;
  const again = (deadline?: IdleDeadline) => {
    if (ended) return;
    let more = true;
    do more = piece();
    while (more && deadline !== undefined && deadline.timeRemaining() > PIECE_MS);
    if (more) later(again);
  };
  later(again);
  return () => {
    ended = true;
  };
}

/** A drawing takes a slow phone so long, in milliseconds: one is begun only where there is time for it. */
const PIECE_MS = 10;

function later(work: (deadline?: IdleDeadline) => void): void {
  if (typeof requestIdleCallback === 'undefined') setTimeout(work, PAUSE_MS);
  else requestIdleCallback(work);
}

/** Whether the person asked for less motion. */
export function wantsStill(): boolean {
  return (
    typeof matchMedia !== 'undefined' && matchMedia('(prefers-reduced-motion: reduce)').matches
  );
}
