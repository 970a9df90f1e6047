'use client';

import { type KeyboardEvent, type PointerEvent, useRef, useState } from 'react';
import { type Drawing, type Pose, drawFigure, drawPose } from '@/core/figure';
import {
  HANDLES,
  type Handle,
  type Studio,
  fromSheet,
  handleAt,
  moveHandle,
  onSheet,
  poseAtHand,
  spread,
} from '@/core/studio';
import { FigureStill } from '../../figure/still';
import type { Act } from './figure-studio';

type Drag = {
  readonly handle: Handle;
  readonly from: Pose;
  readonly at: readonly [x: number, y: number];
  readonly cmAPixel: number;
};

/** Room round the body for what is dragged outward, as a share of the picture. */
const ROOM = 0.18;

/** Handles lie so far from each other, as a share of the picture: a finger's breadth. */
const APART = 0.058;

/** How far one press of an arrow goes, in cm. */
const STEP_CM = 1;
const LARGE_STEP_CM = 5;

const SENT: Readonly<Record<string, readonly [right: number, down: number, nearer: number]>> = {
  ArrowLeft: [-1, 0, 0],
  ArrowRight: [1, 0, 0],
  ArrowUp: [0, -1, 0],
  ArrowDown: [0, 1, 0],
  PageUp: [0, 0, 1],
  PageDown: [0, 0, -1],
};

/** The pose at hand, large, with what can be taken hold of. */
export function Canvas({ studio, act }: { studio: Studio; act: Act }) {
  const { figure, at } = studio;
  const pose = poseAtHand(studio);
  const sheet = useRef<HTMLDivElement>(null);
  const [drag, setDrag] = useState<Drag | null>(null);
  // The paper lies still while something on it is moved.
  const [still, setStill] = useState<Drawing['box'] | null>(null);
  const stroke = useRef(0);
  const whole = { ...figure, crop: 'whole' as const, stages: null };
  const drawing =
    at === 'fault'
      ? drawPose(whole, pose, { inset: false, effort: false })
      : drawFigure(whole, at / (figure.poses.length - 1), { inset: false, before: at > 0 });
  const box = still ?? roomy(drawing.box);
  const [left, top, width, height] = box;

  const places = HANDLES.map((handle) => onSheet(figure.view, handleAt(pose, handle)));
  const shown = spread(places, Math.max(width, height) * APART);

  const move = (handle: Handle, from: Pose, right: number, down: number, nearer = 0) =>
    act({
      kind: 'pose',
      change: () => moveHandle(from, handle, fromSheet(figure.view, right, down, nearer)),
      stroke: stroke.current,
    });

  function take(event: PointerEvent<HTMLButtonElement>, handle: Handle) {
    if (event.button !== 0 || !sheet.current) return;
    event.currentTarget.setPointerCapture(event.pointerId);
    stroke.current += 1;
    setStill(box);
    setDrag({
      handle,
      from: pose,
      at: [event.clientX, event.clientY],
      cmAPixel: width / sheet.current.getBoundingClientRect().width,
    });
  }
  function drop() {
    setDrag(null);
    setStill(null);
  }
  function nudge(event: KeyboardEvent, handle: Handle) {
    const way = SENT[event.key];
    if (!way || event.ctrlKey || event.metaKey || event.altKey) return;
    event.preventDefault();
    if (!event.repeat) stroke.current += 1;
    setStill(box);
    const by = event.shiftKey ? LARGE_STEP_CM : STEP_CM;
    move(handle, pose, way[0] * by, way[1] * by, way[2] * by);
  }

  return (
    <div
      ref={sheet}
      className="relative mx-auto touch-none rounded border border-edge bg-sheet select-none"
      style={{
        aspectRatio: `${width} / ${height}`,
        // As broad as it may be without being higher than the window.
        width: `min(100%, ${(65 * width) / height}vh)`,
      }}
    >
      <FigureStill drawing={{ ...drawing, box }} label="" className="absolute inset-0 size-full" />
      <Leaders box={box} from={places} to={shown} />
      {HANDLES.map((handle, index) => {
        const [x, y] = shown[index] ?? [0, 0];
        return (
          <button
            key={handle}
            type="button"
            aria-label={`${handle}: drag, or move with the arrow keys`}
            title={`${handle} (Shift with an arrow: five times as far; Page Up nearer, Page Down farther)`}
            className="absolute grid size-6 -translate-x-1/2 -translate-y-1/2 cursor-grab place-items-center rounded-full"
            style={{
              left: `${((x - left) / width) * 100}%`,
              top: `${((y - top) / height) * 100}%`,
            }}
            onPointerDown={(event) => take(event, handle)}
            onPointerMove={(event) => {
              if (drag?.handle !== handle) return;
              const [fromX, fromY] = drag.at;
              move(
                handle,
                drag.from,
                (event.clientX - fromX) * drag.cmAPixel,
                (event.clientY - fromY) * drag.cmAPixel,
              );
            }}
            onPointerUp={drop}
            onPointerCancel={drop}
            onKeyDown={(event) => nudge(event, handle)}
            onBlur={() => setStill(null)}
          >
            <span
              aria-hidden
              className={`size-3 rounded-full border-2 border-sheet ${drag?.handle === handle ? 'bg-lit-ink' : 'bg-action'}`}
            />
          </button>
        );
      })}
    </div>
  );
}

type Points = readonly (readonly [x: number, y: number])[];

/** From each handle that had to make room to what it holds. */
function Leaders({ box, from, to }: { box: Drawing['box']; from: Points; to: Points }) {
  return (
    <svg viewBox={box.join(' ')} aria-hidden className="absolute inset-0 size-full text-action">
      {from.map(([x, y], index) => {
        const [toX, toY] = to[index] ?? [x, y];
        return (
          <line
            key={HANDLES[index]}
            x1={x}
            y1={y}
            x2={toX}
            y2={toY}
            stroke="currentColor"
            strokeWidth={1.5}
            vectorEffect="non-scaling-stroke"
          />
        );
      })}
    </svg>
  );
}

function roomy([left, top, width, height]: Drawing['box']): Drawing['box'] {
  const [x, y] = [width * ROOM, height * ROOM];
  return [left - x / 2, top - y, width + x, height + y];
}
