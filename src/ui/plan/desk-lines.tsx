'use client';

import {
  DndContext,
  KeyboardSensor,
  PointerSensor,
  closestCenter,
  useSensor,
  useSensors,
} from '@dnd-kit/core';
import {
  SortableContext,
  sortableKeyboardCoordinates,
  verticalListSortingStrategy,
} from '@dnd-kit/sortable';
import { type Dispatch, useMemo } from 'react';
import type { Desk, DeskAction } from './desk-state';
import { DeskRow, type RowMoves } from './row/desk-row';

/** Outside the component: new options would be a new context, and every row drawn again. */
const POINTER = { activationConstraint: { distance: 4 } };
const KEYBOARD = { coordinateGetter: sortableKeyboardCoordinates };

/** From so many lines rows out of sight are left out of the layout. */
const LONG_FROM = 60;

/** The lines in their order, to be dragged. */
export function DeskLines({
  desk,
  newUid,
  moves,
  step,
}: {
  desk: Desk;
  /** The line that was added last: it has the cursor. */
  newUid: string;
  moves: RowMoves;
  step: Dispatch<DeskAction>;
}) {
  const sensors = useSensors(
    useSensor(PointerSensor, POINTER),
    useSensor(KeyboardSensor, KEYBOARD),
  );
  // The same list as long as the lines stand as they do: else every row would be drawn at every key.
  const order = desk.lines.map(({ uid }) => uid).join(' ');
  const items = useMemo(() => order.split(' '), [order]);
  if (desk.lines.length === 0)
    return (
      <p className="py-8 text-soft">
        No exercise yet. Press <kbd className="figures">Ctrl K</kbd>, type a word, press Enter; then
        write its dose, such as <span className="figures">3x10 hold 5s rest 60s 2/day</span>.
      </p>
    );
  return (
    <DndContext
      id="desk"
      sensors={sensors}
      collisionDetection={closestCenter}
      onDragEnd={({ active, over }) => {
        const to = desk.lines.findIndex((line) => line.uid === over?.id);
        if (over && to >= 0) step({ type: 'move', uid: String(active.id), to });
      }}
    >
      <SortableContext items={items} strategy={verticalListSortingStrategy}>
        <ol className={desk.lines.length > LONG_FROM ? 'long-desk' : undefined}>
          {desk.lines.map((line, place) => (
            <DeskRow
              key={line.uid}
              line={line}
              isFirst={place === 0}
              isLast={place === desk.lines.length - 1}
              isNew={line.uid === newUid}
              moves={moves}
            />
          ))}
        </ol>
      </SortableContext>
    </DndContext>
  );
}
