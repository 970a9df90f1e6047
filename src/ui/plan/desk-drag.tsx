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
  useSortable,
  verticalListSortingStrategy,
} from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { GripSign } from '../primitives/icons';
import { type Dispatch, useLayoutEffect, useMemo, useState } from 'react';
import { createPortal } from 'react-dom';
import { nameOf, useDeskFacts } from './desk-facts';
import type { DeskAction } from './desk-state';
import type { DeskLine } from './draft';
import { ICON_BUTTON } from './row/icon-button';
import { handleId, rowId } from './row/row-places';

/** Outside the component: new options would be a new context, and every handle drawn again. */
const POINTER = { activationConstraint: { distance: 4 } };
const KEYBOARD = { coordinateGetter: sortableKeyboardCoordinates };

/**
 * The handles of the lines, each in its place in a line that stands without it: what drags is dear and
 * comes when the desk is at rest, and no line is made anew for it.
 */
export function DeskDrag({
  lines,
  step,
}: {
  readonly lines: readonly DeskLine[];
  readonly step: Dispatch<DeskAction>;
}) {
  const sensors = useSensors(
    useSensor(PointerSensor, POINTER),
    useSensor(KeyboardSensor, KEYBOARD),
  );
  // The same list as long as the lines stand as they do: else every handle would be drawn at every key.
  const order = lines.map(({ uid }) => uid).join(' ');
  const items = useMemo(() => order.split(' '), [order]);
  return (
    <DndContext
      id="desk"
      sensors={sensors}
      collisionDetection={closestCenter}
      onDragEnd={({ active, over }) => {
        const to = lines.findIndex((line) => line.uid === over?.id);
        if (over && to >= 0) step({ type: 'move', uid: String(active.id), to });
      }}
    >
      <SortableContext items={items} strategy={verticalListSortingStrategy}>
        {lines.map(({ uid, exerciseId }) => (
          <Handle key={uid} uid={uid} exerciseId={exerciseId} />
        ))}
      </SortableContext>
    </DndContext>
  );
}

function Handle({ uid, exerciseId }: Pick<DeskLine, 'uid' | 'exerciseId'>) {
  const { catalogue } = useDeskFacts();
  const { attributes, listeners, setNodeRef, transform, transition, isDragging } = useSortable({
    id: uid,
  });
  const [place, setPlace] = useState<HTMLElement | null>(null);
  const moved = CSS.Translate.toString(transform) ?? '';
  useLayoutEffect(() => {
    setNodeRef(document.getElementById(rowId(uid)));
    setPlace(document.getElementById(handleId(uid)));
    return () => setNodeRef(null);
  }, [uid, setNodeRef]);
  useLayoutEffect(() => {
    const row = document.getElementById(rowId(uid));
    if (!row) return;
    row.style.transform = moved;
    row.style.transition = transition ?? '';
    row.classList.toggle('bg-wash', isDragging);
  }, [uid, moved, transition, isDragging]);
  return (
    place &&
    createPortal(
      <button
        type="button"
        className={`${ICON_BUTTON} touch-none`}
        {...attributes}
        {...listeners}
        aria-label={`Drag ${nameOf(catalogue, exerciseId)} to another place`}
      >
        <GripSign />
      </button>,
      place,
    )
  );
}
