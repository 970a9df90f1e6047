'use client';

import { type KeyboardEvent, type PointerEvent, useRef, useState } from 'react';
import type { Point } from '@/core/measures';
import { MARKS, MARK_IDS, type MarkId, type Marking } from './marking-state';

type Size = { readonly width: number; readonly height: number };

/** How far the loupe enlarges, and how many pixels of the picture it shows. */
const LOUPE_PIXELS = 60;

/** The photo with its marks: press to place, drag or use the arrow keys to move. */
export function PhotoStage({
  href,
  size,
  marking,
  onPlace,
  onNudge,
  onPick,
}: {
  href: string;
  size: Size;
  marking: Marking;
  /** `first` is false while a mark is being dragged on. */
  onPlace: (point: Point, first: boolean) => void;
  onNudge: (by: Point) => void;
  onPick: (id: MarkId) => void;
}) {
  const svg = useRef<SVGSVGElement>(null);
  const dragging = useRef(false);
  const [hover, setHover] = useState<Point | null>(null);
  const unit = size.height / 500;

  /** Through the drawing's own matrix: a picture narrower than its frame has margins. */
  function pointOf(event: PointerEvent): Point {
    const matrix = svg.current?.getScreenCTM();
    if (!matrix) return { x: 0, y: 0 };
    const { x, y } = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix.inverse());
    return {
      x: Math.min(size.width, Math.max(0, x)),
      y: Math.min(size.height, Math.max(0, y)),
    };
  }

  function onKeyDown(event: KeyboardEvent) {
    const step = event.shiftKey ? 10 : 1;
    const moves: Readonly<Record<string, Point>> = {
      ArrowLeft: { x: -step, y: 0 },
      ArrowRight: { x: step, y: 0 },
      ArrowUp: { x: 0, y: -step },
      ArrowDown: { x: 0, y: step },
    };
    const move = moves[event.key];
    if (!move) return;
    event.preventDefault();
    onNudge(move);
  }

  const focus = marking.points[marking.active] ?? hover;
  return (
    <div className="relative">
      <svg
        ref={svg}
        viewBox={`0 0 ${size.width} ${size.height}`}
        className="max-h-[78vh] w-full cursor-crosshair touch-none border border-hair bg-wash"
        role="application"
        aria-label={`Photo. Press to place ${MARKS[marking.active].name}; arrow keys move it by one pixel, with Shift by ten.`}
        tabIndex={0}
        data-testid="stage"
        onKeyDown={onKeyDown}
        onPointerDown={(event) => {
          dragging.current = true;
          event.currentTarget.setPointerCapture(event.pointerId);
          onPlace(pointOf(event), true);
        }}
        onPointerMove={(event) => {
          setHover(pointOf(event));
          if (dragging.current) onPlace(pointOf(event), false);
        }}
        onPointerUp={() => {
          dragging.current = false;
        }}
        onPointerLeave={() => setHover(null)}
      >
        <image href={href} width={size.width} height={size.height} />
        <Lines marking={marking} unit={unit} />
        {MARK_IDS.map((id) => {
          const point = marking.points[id];
          return (
            point && (
              <Mark
                key={id}
                point={point}
                name={MARKS[id].name}
                active={id === marking.active}
                unit={unit}
                pickable={marking.points[marking.active] !== undefined}
                onPick={() => onPick(id)}
              />
            )
          );
        })}
      </svg>
      {focus && (
        <svg
          viewBox={`${focus.x - LOUPE_PIXELS / 2} ${focus.y - LOUPE_PIXELS / 2} ${LOUPE_PIXELS} ${LOUPE_PIXELS}`}
          className="pointer-events-none absolute top-2 right-2 size-44 rounded-full border-2 border-ink bg-wash"
          aria-hidden
        >
          <image href={href} width={size.width} height={size.height} />
          <path
            d={`M ${focus.x - 30} ${focus.y} H ${focus.x + 30} M ${focus.x} ${focus.y - 30} V ${focus.y + 30}`}
            stroke="#16408f"
            strokeWidth={0.5}
          />
        </svg>
      )}
    </div>
  );
}

function Mark({
  point,
  name,
  active,
  unit,
  pickable,
  onPick,
}: {
  point: Point;
  name: string;
  active: boolean;
  unit: number;
  /** While a mark waits for its place, a press near another one places it. */
  pickable: boolean;
  onPick: () => void;
}) {
  return (
    <g
      onPointerDown={(event) => {
        if (!pickable) return;
        // Picking a mark up must not place the one that was active.
        event.stopPropagation();
        onPick();
      }}
    >
      <circle cx={point.x} cy={point.y} r={9 * unit} fill="transparent" />
      <circle
        cx={point.x}
        cy={point.y}
        r={5 * unit}
        fill="none"
        stroke={active ? '#e39a18' : '#16408f'}
        strokeWidth={2 * unit}
      />
      <circle cx={point.x} cy={point.y} r={1 * unit} fill="#16408f" />
      <text
        x={point.x + 9 * unit}
        y={point.y - 7 * unit}
        fontSize={11 * unit}
        fill="#12211d"
        stroke="#ffffff"
        strokeWidth={2.5 * unit}
        paintOrder="stroke"
        pointerEvents="none"
      >
        {name}
      </text>
    </g>
  );
}

function Lines({ marking, unit }: { marking: Marking; unit: number }) {
  const { tragus, c7, eye, shoulder, lineA, lineB, scaleA, scaleB } = marking.points;
  const lines = [
    [c7, tragus],
    [tragus, eye],
    [shoulder, c7],
    [lineA, lineB],
    [scaleA, scaleB],
  ] as const;
  return lines.map(
    ([a, b], index) =>
      a &&
      b && (
        <line
          key={String(index)}
          x1={a.x}
          y1={a.y}
          x2={b.x}
          y2={b.y}
          stroke="#16408f"
          strokeWidth={1.2 * unit}
          strokeDasharray={index > 2 ? `${5 * unit} ${3 * unit}` : undefined}
        />
      ),
  );
}
