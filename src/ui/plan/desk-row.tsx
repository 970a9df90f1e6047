'use client';

import { useSortable } from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { ArrowDown, ArrowUp, GripVertical, X } from 'lucide-react';
import type { KeyboardEvent } from 'react';
import { exerciseById } from '@/catalogue';
import { DoseField } from './dose-field';
import { type DeskLine, readLine } from './draft';

const ICON_BUTTON =
  'inline-flex size-7 items-center justify-center rounded border border-transparent text-soft hover:border-hair hover:text-ink disabled:opacity-40';

export type RowMoves = {
  readonly onType: (dose: string) => void;
  readonly onRemove: () => void;
  /** −1 up, +1 down. */
  readonly onMove: (by: -1 | 1) => void;
  readonly onNext: () => void;
};

/** One line of the desk: handle, name, dose, and the buttons that do what the keys do. */
export function DeskRow({
  line,
  place,
  count,
  isNew,
  moves,
}: {
  line: DeskLine;
  place: number;
  count: number;
  isNew: boolean;
  moves: RowMoves;
}) {
  const sortable = useSortable({ id: line.uid });
  const exercise = exerciseById(line.exerciseId);
  const name = exercise?.name ?? line.exerciseId;

  function onKeyDown(event: KeyboardEvent<HTMLInputElement>) {
    const { key, altKey, ctrlKey, metaKey } = event;
    if (key === 'Enter' && !ctrlKey && !metaKey) moves.onNext();
    else if (altKey && key === 'ArrowUp') moves.onMove(-1);
    else if (altKey && key === 'ArrowDown') moves.onMove(1);
    else if (altKey && (key === 'Backspace' || key === 'Delete')) moves.onRemove();
    else return;
    event.preventDefault();
  }

  return (
    <li
      ref={sortable.setNodeRef}
      style={{
        transform: CSS.Translate.toString(sortable.transform),
        transition: sortable.transition,
      }}
      className={`grid grid-cols-[auto_minmax(0,1fr)_auto] gap-x-2 border-b border-hair py-3 md:grid-cols-[auto_minmax(0,13rem)_minmax(0,1fr)_auto] ${sortable.isDragging ? 'bg-wash' : ''}`}
    >
      <button
        type="button"
        className={`${ICON_BUTTON} touch-none`}
        {...sortable.attributes}
        {...sortable.listeners}
        aria-label={`Drag ${name} to another place`}
      >
        <GripVertical aria-hidden size={16} />
      </button>
      <div className="min-w-0 pt-1">
        <p className="font-semibold">{name}</p>
        {exercise && (
          <p className="text-[0.93em] text-soft">
            {exercise.family}, {exercise.position}. {exercise.watch}
          </p>
        )}
      </div>
      <div className="col-span-2 col-start-2 row-start-2 min-w-0 pt-2 md:col-span-1 md:col-start-3 md:row-start-1 md:pt-0">
        <DoseField
          name={name}
          dose={line.dose}
          read={readLine(line)}
          onType={moves.onType}
          onKeyDown={onKeyDown}
          autoFocus={isNew}
        />
      </div>
      <div className="flex items-start">
        <button
          type="button"
          className={ICON_BUTTON}
          disabled={place === 0}
          onClick={() => moves.onMove(-1)}
          aria-label={`Move ${name} up`}
        >
          <ArrowUp aria-hidden size={16} />
        </button>
        <button
          type="button"
          className={ICON_BUTTON}
          disabled={place === count - 1}
          onClick={() => moves.onMove(1)}
          aria-label={`Move ${name} down`}
        >
          <ArrowDown aria-hidden size={16} />
        </button>
        <button
          type="button"
          className={ICON_BUTTON}
          onClick={moves.onRemove}
          aria-label={`Remove ${name}`}
        >
          <X aria-hidden size={16} />
        </button>
      </div>
    </li>
  );
}
