'use client';

import { Command } from 'cmdk';
import { type Ref, useState } from 'react';
import { type Exercise, searchWords } from '@/core/exercise';

/** Finds an exercise by name, family, finding, muscle, prop or other word; Enter adds it. */
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
  const show = open && typed.trim() !== '';
  return (
    <Command
      label="Add an exercise"
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
        label="Exercises found"
        className={`absolute inset-x-0 top-full z-10 mt-1 max-h-80 overflow-auto rounded border border-hair bg-sheet p-1 shadow-lg ${show ? '' : 'hidden'}`}
      >
        <Command.Empty className="px-3 py-2 text-soft">
          Nothing in the catalogue has this word. Try another name, a muscle or a position.
        </Command.Empty>
        {show &&
          exercises.map((exercise) => (
            <Command.Item
              key={exercise.id}
              value={exercise.name}
              keywords={[...searchWords(exercise), ...(more.get(exercise.family) ?? [])]}
              onSelect={() => {
                setTyped('');
                onPick(exercise);
              }}
              className="flex flex-wrap items-baseline gap-x-3 rounded px-3 py-1.5 data-[selected=true]:bg-wash"
            >
              <span className="font-medium">{exercise.name}</span>
              <span className="text-soft">
                {exercise.family}, {exercise.position}
              </span>
              <span className="figures ml-auto text-[0.9em] text-soft">{exercise.usualDose}</span>
            </Command.Item>
          ))}
      </Command.List>
    </Command>
  );
}
