'use client';

import { clockText } from '@/core/units';
import { type KeyboardEvent, type PointerEvent, useRef, useState } from 'react';
import {
  type BusyBlock,
  type Placement,
  type Ribbon,
  sessionLabel,
  snapMinute,
} from '@/core/schedule';
import type { TimedSession } from '@/core/programme';

/** Pixels a minute; a day of sixteen hours is then about four hundred high. */
const SCALE = 0.42;
const LEAST_HEIGHT = 15;
const STEP = 5;

/** The patient's day from waking to sleep, its sessions to be dragged or moved by arrow keys. */
export function DayRibbon({
  ribbon,
  sessions,
  busy,
  onDrag,
}: {
  ribbon: Ribbon;
  sessions: readonly TimedSession[];
  busy: readonly BusyBlock[];
  onDrag: (key: string, minute: number) => void;
}) {
  const { wake, sleep } = ribbon;
  const top = (minute: number) => (minute - wake) * SCALE;
  const height = (sleep - wake) * SCALE;
  const hours = Array.from(
    { length: Math.floor((sleep - wake) / 120) + 1 },
    (_, index) => (Math.ceil(wake / 60) + index * 2) * 60,
  ).filter((minute) => minute <= sleep);
  const labels = new Map(sessions.map(({ key, slot }) => [key, sessionLabel(slot)]));
  const inDay = busy.flatMap((block) =>
    [block, { ...block, from: block.from + 1440, to: block.to + 1440 }].filter(
      ({ from, to }) => to > wake && from < sleep,
    ),
  );
  return (
    <section aria-label="The day" className="grid gap-1">
      <h2 className="font-semibold">
        The day, {clockText(wake)} to {clockText(sleep)}
      </h2>
      <div className="relative mt-2 mb-2 ml-12 border-l-4 border-dark-rib" style={{ height }}>
        {hours.map((minute) => (
          <span
            key={minute}
            className="figures absolute -left-14 text-fine text-soft"
            style={{ top: top(minute) - 8 }}
          >
            {clockText(minute)}
          </span>
        ))}
        {inDay.map(({ from, to, label }) => (
          <div
            key={`${from} ${label}`}
            className="absolute right-0 left-0 overflow-hidden border-y border-hair bg-wash px-2 text-fine text-soft"
            style={{
              top: top(Math.max(wake, from)),
              height: (Math.min(sleep, to) - Math.max(wake, from)) * SCALE,
            }}
          >
            {label}
          </div>
        ))}
        {ribbon.ticks.map(({ key, at }) => (
          <span
            key={key}
            className="absolute left-0 h-0.5 w-3 bg-lit"
            style={{ top: top(at) }}
            title={`Reset at ${clockText(at)}`}
          />
        ))}
        {ribbon.placed.map((placement) => (
          <Session
            key={placement.key}
            placement={placement}
            label={labels.get(placement.key) ?? placement.key}
            wake={wake}
            sleep={sleep}
            onDrag={(minute) => onDrag(placement.key, minute)}
          />
        ))}
      </div>
      {ribbon.ticks.length > 0 && (
        <p className="text-small text-soft">
          Short strokes: resets at {ribbon.ticks.map(({ at }) => clockText(at)).join(', ')}.
        </p>
      )}
      {ribbon.unplaced.map(({ key, say }) => (
        <p key={key} className="text-stop">
          {labels.get(key)}: {say}
        </p>
      ))}
    </section>
  );
}

function Session({
  placement: { from, to },
  label,
  wake,
  sleep,
  onDrag,
}: {
  placement: Placement;
  label: string;
  wake: number;
  sleep: number;
  onDrag: (minute: number) => void;
}) {
  const grip = useRef<{ y: number; from: number } | null>(null);
  const [shown, setShown] = useState<number | null>(null);
  const at = shown ?? from;
  const long = to - from;
  const within = (minute: number) => Math.max(wake, Math.min(sleep - long, snapMinute(minute)));

  function onKeyDown(event: KeyboardEvent) {
    const by = { ArrowUp: -STEP, ArrowDown: STEP, PageUp: -60, PageDown: 60 }[event.key];
    if (by === undefined) return;
    event.preventDefault();
    onDrag(within(from + by));
  }
  function onPointerDown(event: PointerEvent<HTMLDivElement>) {
    event.currentTarget.setPointerCapture(event.pointerId);
    grip.current = { y: event.clientY, from };
  }
  /** From the pointer itself: what is shown may be a frame behind it. */
  const minuteUnder = ({ clientY }: PointerEvent, held: { y: number; from: number }) =>
    within(held.from + (clientY - held.y) / SCALE);
  function onPointerMove(event: PointerEvent) {
    if (grip.current) setShown(minuteUnder(event, grip.current));
  }
  function onPointerUp(event: PointerEvent) {
    const held = grip.current;
    grip.current = null;
    setShown(null);
    // A press without a drag moves nothing.
    if (!held || Math.abs(event.clientY - held.y) < 3) return;
    const minute = minuteUnder(event, held);
    if (minute !== held.from) onDrag(minute);
  }

  return (
    <div
      role="slider"
      tabIndex={0}
      aria-label={`${label}, when it begins`}
      aria-orientation="vertical"
      aria-valuemin={wake}
      aria-valuemax={sleep - long}
      aria-valuenow={at}
      aria-valuetext={`${clockText(at)} to ${clockText(at + long)}`}
      onKeyDown={onKeyDown}
      onPointerDown={onPointerDown}
      onPointerMove={onPointerMove}
      onPointerUp={onPointerUp}
      className="absolute right-0 left-1 flex cursor-grab touch-none items-start overflow-hidden rounded border border-action bg-sheet px-1.5 text-fine leading-tight select-none"
      style={{ top: (at - wake) * SCALE, height: Math.max(LEAST_HEIGHT, long * SCALE) }}
    >
      <span className="figures mr-1">{clockText(at)}</span>
      <span className="truncate">{label}</span>
    </div>
  );
}
