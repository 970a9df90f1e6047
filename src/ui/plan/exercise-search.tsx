'use client';

import { Command } from 'cmdk';
import { type Ref, useEffect, useMemo, useRef, useState } from 'react';
import { ALIASES } from '@/catalogue';
import type { Exercise } from '@/core/exercise';
import { exerciseFinder } from '@/core/find';
import { FigureThumb } from '../figure/thumb';

/** Whoever needs more writes another word. */
const MOST_SHOWN = 12;

/**
 * Finds an exercise by its name, a common name, family, finding, muscle or prop; Enter adds the one
 * that is marked. Where nothing is like it, nothing is offered.
 */
export function ExerciseSearch({
  exercises,
  more,
  onPick,
  inputRef,
}: {
  exercises: readonly Exercise[];
  /** Words that find an exercise beyond its own: the findings it answers. */
  more: ReadonlyMap<string, readonly string[]>;
  onPick: (exercise: Exercise) => void;
  inputRef: Ref<HTMLInputElement>;
}) {
  const [typed, setTyped] = useState('');
  const [open, setOpen] = useState(false);
  const list = useRef<HTMLDivElement>(null);
  // What is found first is seen first, however far the list before was scrolled.
  useEffect(() => {
    if (list.current) list.current.scrollTop = 0;
  }, [typed]);
  const show = open && typed.trim() !== '';
  const find = useMemo(() => exerciseFinder(exercises, ALIASES, more), [exercises, more]);
  const found = useMemo(() => find(show ? typed : '', MOST_SHOWN), [show, find, typed]);
  return (
    <Command
      label="Add an exercise"
      shouldFilter={false}
      className="relative"
      loop
      onBlur={(event) => {
        if (!event.currentTarget.contains(event.relatedTarget)) setOpen(false);
      }}
    >
      <Command.Input
        ref={inputRef}
        value={typed}
        onValueChange={(value) => {
          // The key that leads here is no part of a name, pressed once more than needed.
          setTyped(value.replace(/^\//, ''));
          setOpen(true);
        }}
        onFocus={() => setOpen(true)}
        onKeyDown={(event) => {
          if (event.key === 'Escape') setOpen(false);
        }}
        placeholder="Add an exercise: name, finding, muscle, prop, position"
        className="w-full rounded border border-hair bg-sheet px-3 py-2 placeholder:text-soft"
      />
      <Command.List
        ref={list}
        label="Exercises found"
        className={`absolute inset-x-0 top-full z-10 mt-1 max-h-80 overflow-auto rounded border border-hair bg-sheet p-1 shadow-lg ${show ? '' : 'hidden'}`}
      >
        <Command.Empty className="px-3 py-2 text-soft">
          Nothing is called so here. Try another name, a muscle or a position, or{' '}
          <a href="/exercises/new" className="text-action underline">
            add an exercise of your own
          </a>
          .
        </Command.Empty>
        {found.guessed && (
          <p role="status" className="px-3 py-1 text-soft">
            Nothing is called so here. Most like it:
          </p>
        )}
        {found.exercises.map((exercise) => (
          <Command.Item
            key={exercise.id}
            value={exercise.id}
            onSelect={() => {
              setTyped('');
              onPick(exercise);
            }}
            className="flex items-center gap-3 rounded px-3 py-1 data-[selected=true]:bg-wash"
          >
            <FigureThumb exerciseId={exercise.id} drawing={exercise.drawing} />
            <span className="grid min-w-0 grow">
              <span className="font-medium">{exercise.name}</span>
              <span className="text-[0.9em] text-soft">
                {exercise.family}, {exercise.position}
              </span>
            </span>
            <span className="figures shrink-0 text-[0.9em] text-soft">{exercise.usualDose}</span>
          </Command.Item>
        ))}
      </Command.List>
    </Command>
  );
}
