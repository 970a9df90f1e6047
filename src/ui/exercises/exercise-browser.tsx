'use client';

import { SCHOOLS } from '@/core/school';
import { QuietLink } from '@/ui/primitives/quiet-link';
import { useMemo, useState } from 'react';
import { ALIASES, catalogueOf } from '@/catalogue';
import { type Circumstances, closedBecause } from '@/core/choose';
import {
  ASKED_PROPS,
  type Exercise,
  type ExerciseFilter,
  FAMILIES,
  HOUSEHOLD,
  POSITIONS,
  PURPOSES,
  REGIONS,
  SCHOOL_IDS,
  isAmong,
} from '@/core/exercise';
import { exerciseFinder } from '@/core/find';
import type { Screened } from '@/core/screen';
import { FigureThumb } from '../figure/thumb';
import { INPUT_CLASS } from '../primitives/field';

const NOBODY: ReadonlyMap<string, readonly string[]> = new Map();

/** Whose precautions, positions and home close exercises in the list. */
export type ForPatient = {
  readonly name: string;
  readonly circumstances: Circumstances;
  readonly screened: Screened;
};

/**
 * Every exercise with its drawing: found by typing, narrowed by what it is for, needs and asks of a
 * body, and marked where it is closed to a chosen patient.
 */
export function ExerciseBrowser({
  own,
  patient,
}: {
  own: readonly Exercise[];
  patient: ForPatient | null;
}) {
  const [typed, setTyped] = useState('');
  const [filter, setFilter] = useState<ExerciseFilter>({});
  const [openOnly, setOpenOnly] = useState(false);
  const all = useMemo(() => catalogueOf(own).all, [own]);
  const find = useMemo(() => exerciseFinder(all, ALIASES, NOBODY), [all]);
  const found = typed.trim() === '' ? { exercises: all, guessed: false } : find(typed, all.length);
  const closed = (exercise: Exercise) =>
    patient ? closedBecause(exercise, patient.circumstances) : [];
  const shown = found.exercises.filter(
    (exercise) => isAmong(exercise, filter) && (!openOnly || closed(exercise).length === 0),
  );
  const families =
    typed.trim() === '' ? FAMILIES.map((family) => [family] as const) : ([FAMILIES] as const);
  const narrow = <Key extends keyof ExerciseFilter>(
    key: Key,
    label: string,
    options: readonly (readonly [value: string, say: string])[],
  ) => (
    <label className="grid gap-1">
      <span className="text-small text-soft">{label}</span>
      <select
        value={filter[key] ?? ''}
        onChange={({ target }) =>
          setFilter({
            ...filter,
            [key]: target.value === '' ? undefined : (target.value as ExerciseFilter[Key]),
          })
        }
        className={INPUT_CLASS}
      >
        <option value="">Any</option>
        {options.map(([value, say]) => (
          <option key={value} value={value}>
            {say}
          </option>
        ))}
      </select>
    </label>
  );
  const same = (values: readonly string[]) => values.map((one) => [one, one] as const);
  return (
    <>
      <search className="grid gap-3 pt-3">
        <label className="grid gap-1">
          <span className="font-medium">Find an exercise</span>
          <input
            type="search"
            value={typed}
            onChange={({ target }) => setTyped(target.value)}
            placeholder="Name, common name, muscle, prop, position"
            className={INPUT_CLASS}
          />
        </label>
        <div className="grid grid-cols-[repeat(auto-fill,minmax(10rem,1fr))] gap-3">
          {narrow('family', 'Family', same(FAMILIES))}
          {narrow('region', 'Region', same(REGIONS))}
          {narrow('purpose', 'Purpose', same(PURPOSES))}
          {narrow('position', 'Position', same(POSITIONS))}
          {narrow('prop', 'Thing it needs', same([...ASKED_PROPS, ...HOUSEHOLD]))}
          {narrow(
            'school',
            'Way it grows',
            SCHOOL_IDS.map((id) => [id, SCHOOLS[id].name] as const),
          )}
        </div>
        {patient && (
          <label className="flex items-center gap-2">
            <input
              type="checkbox"
              checked={openOnly}
              onChange={({ target }) => setOpenOnly(target.checked)}
            />
            <span>
              Only what is open to <bdi>{patient.name}</bdi>
            </span>
          </label>
        )}
        <p role="status" className="text-soft">
          {shown.length === 1 ? '1 exercise' : `${shown.length} exercises`}
          {found.guessed && ', most like what was typed'}
        </p>
      </search>
      {shown.length === 0 && (
        <p className="py-6">
          No exercise is like that. Take a choice back, try another word, or{' '}
          <QuietLink href="/exercises/new" className="text-action underline">
            add one of your own
          </QuietLink>
          .
        </p>
      )}
      {families.map((some) => {
        const those = shown.filter(({ family }) => some.includes(family as never));
        return (
          those.length > 0 && (
            <section key={some[0]} className="border-t border-hair pt-2 pb-3">
              {some.length === 1 && <h2 className="text-lg">{some[0]}</h2>}
              <ul className="grid gap-x-6 sm:grid-cols-2 xl:grid-cols-3">
                {those.map((exercise) => (
                  <ExerciseItem key={exercise.id} exercise={exercise} closed={closed(exercise)} />
                ))}
              </ul>
            </section>
          )
        );
      })}
    </>
  );
}

function ExerciseItem({
  exercise: { id, name, position, usualDose, drawing },
  closed,
}: {
  exercise: Exercise;
  closed: readonly string[];
}) {
  return (
    <li className="flex items-center gap-3 py-1">
      <FigureThumb exerciseId={id} drawing={drawing} className="h-14 w-18" />
      <p className="min-w-0">
        <QuietLink href={`/exercises/about/${id}`} className="text-action underline">
          <span dir="auto">{name}</span>
        </QuietLink>
        <span className="block text-small text-soft">
          {position} · <span className="figures">{usualDose}</span>
        </span>
        {closed.length > 0 && (
          <span className="block text-small text-stop">Closed: {closed.join('; ')}</span>
        )}
      </p>
    </li>
  );
}
