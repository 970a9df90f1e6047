'use client';

import { Command } from 'cmdk';
import { type Ref, useEffect, useMemo, useRef, useState } from 'react';
import { ALIASES } from '@/catalogue';
import type { Exercise } from '@/core/exercise';
import { exerciseFinder } from '@/core/find';
import { type ReadyFound, findReady } from '@/core/ready';
import { FigureThumb } from '../figure/thumb';

/** Whoever needs more writes another word. */
const MOST_SHOWN = 12;
const MOST_READY = 4;

/**
 * Finds an exercise by its name, a common name, family, finding, muscle or prop, and ready programmes
 * beside them; Enter adds the one that is marked, a programme with all its lines. Where nothing is like
 * it, nothing is offered.
 */
export function ExerciseSearch({
  exercises,
  more,
  onPick,
  ready: programmes,
  onPickReady,
  inputRef,
}: {
  exercises: readonly Exercise[];
  /** Words that find an exercise beyond its own: the findings it answers. */
  more: ReadonlyMap<string, readonly string[]>;
  onPick: (exercise: Exercise) => void;
  /** The ready programmes that this clinic offers. */
  ready: readonly ReadyFound[];
  onPickReady: (id: string) => void;
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
  const ready = useMemo(
    () => findReady(programmes, show ? typed : '').slice(0, MOST_READY),
    [programmes, show, typed],
  );
  // After the exercises: whoever types a word of both means the one exercise.
  const programme = (one: ReadyFound) => (
    <ReadyItem
      key={one.id}
      programme={one}
      onSelect={() => {
        setTyped('');
        onPickReady(one.id);
      }}
    />
  );
  // A guess is no use beside something that is there.
  const isGuess = found.guessed && ready.length > 0;
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
        placeholder="Add an exercise or a ready programme: name, finding, muscle, prop"
        className="w-full rounded border border-edge bg-sheet px-3 py-2 placeholder:text-soft"
      />
      <Command.List
        ref={list}
        label="Exercises found"
        className={`absolute inset-x-0 top-full z-10 mt-1 max-h-80 overflow-auto rounded border border-edge bg-sheet p-1 shadow-lg ${show ? '' : 'hidden'}`}
      >
        <Command.Empty className="px-3 py-2 text-soft">
          Nothing is called so here. Try another name, a muscle or a position, or{' '}
          <a href="/exercises/new" className="text-action underline">
            add an exercise of your own
          </a>
          .
        </Command.Empty>
        {found.guessed && !isGuess && (
          <p role="status" className="px-3 py-1 text-soft">
            Nothing is called so here. Most like it:
          </p>
        )}
        {(isGuess ? [] : found.exercises).map((exercise) => (
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
              <span className="text-small text-soft">
                {exercise.family}, {exercise.position}
              </span>
            </span>
            <span className="figures shrink-0 text-small text-soft">{exercise.usualDose}</span>
          </Command.Item>
        ))}
        {ready.map(programme)}
      </Command.List>
    </Command>
  );
}

/** A ready programme among what was found: all its lines at once. */
function ReadyItem({
  programme: { id, name, forWhom, lineCount },
  onSelect,
}: {
  programme: ReadyFound;
  onSelect: () => void;
}) {
  return (
    <Command.Item
      value={`programme ${id}`}
      onSelect={onSelect}
      className="flex items-center gap-3 rounded px-3 py-1.5 data-[selected=true]:bg-wash"
    >
      <span className="grid min-w-0 grow">
        <span className="font-medium">
          {name} <span className="font-normal text-soft">ready programme</span>
        </span>
        <span className="text-small text-soft">For: {forWhom}</span>
      </span>
      <span className="figures shrink-0 text-small text-soft">
        {lineCount === 1 ? '1 line' : `${lineCount} lines`}
      </span>
    </Command.Item>
  );
}
