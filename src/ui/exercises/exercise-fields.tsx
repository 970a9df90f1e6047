import { BOUT_MODES, DIRECTION_NAMES, SIDES_NAME } from '@/core/dose';
import type { ExerciseColumn } from '@/core/exchange';
import { FAMILIES, POSITIONS, PURPOSES, REGIONS } from '@/core/exercise';
import { TRAITS } from '@/core/screen';
import { Choice, Field, TextField } from '../primitives/field';

export type Write = (fields: Partial<Record<ExerciseColumn, string>>) => void;
type PartProps = {
  readonly typed: Record<ExerciseColumn, string>;
  readonly write: Write;
  readonly wrong: (column: ExerciseColumn) => string;
};

/** What it is, and its dose. */
export function What({ typed, write, wrong }: PartProps) {
  const select = (column: ExerciseColumn, label: string, options: readonly string[]) => (
    <Choice
      label={label}
      value={typed[column]}
      onChange={(event) => write({ [column]: event.target.value })}
      error={wrong(column)}
    >
      {options.map((option) => (
        <option key={option}>{option}</option>
      ))}
    </Choice>
  );
  const flag = (column: 'sided' | 'effort', label: string) => (
    <label className="flex items-center gap-2">
      <input
        type="checkbox"
        className="size-4"
        checked={typed[column] === 'yes'}
        onChange={(event) => write({ [column]: event.target.checked ? 'yes' : 'no' })}
      />
      {label}
    </label>
  );
  return (
    <div className="grid content-start gap-3">
      <Field
        label="Name"
        value={typed.name}
        maxLength={120}
        onChange={(event) => write({ name: event.target.value })}
        error={wrong('name')}
      />
      <div className="grid grid-cols-[minmax(0,1fr)_5rem] gap-3">
        {select('family', 'Family', FAMILIES)}
        <Field
          label="Step"
          type="number"
          min={1}
          max={99}
          value={typed.rung}
          onChange={(event) => write({ rung: event.target.value })}
          error={wrong('rung')}
        />
      </div>
      <div className="grid grid-cols-2 gap-3">
        {select('position', 'Position', POSITIONS)}
        {select('region', 'Region', REGIONS)}
        {select('purpose', 'Purpose', PURPOSES)}
        {select('mode', 'A bout of it is', BOUT_MODES)}
      </div>
      <div className="flex flex-wrap gap-6">
        {flag('sided', 'One side at a time')}
        {flag('effort', 'Its effort must be written')}
      </div>
      <Field
        label="Usual dose"
        className="figures"
        value={typed.usualDose}
        onChange={(event) => write({ usualDose: event.target.value })}
        hint="Such as 3x10 hold 5s rest 60s daily"
        error={wrong('usualDose')}
      />
      {typed.sided === 'yes' && select('sidesName', 'Its side names', SIDES_NAME)}
      <TextField
        label="Directions by name"
        rows={2}
        value={typed.directions}
        onChange={(event) => write({ directions: event.target.value })}
        hint={`One a line, in the order they are done: ${DIRECTION_NAMES.join(', ')}.`}
        error={wrong('directions')}
      />
      <Field
        label="Sides, directions or angles"
        value={typed.ways}
        onChange={(event) => write({ ways: event.target.value })}
        error={wrong('ways')}
      />
      <TextField
        label="Needs at home"
        rows={2}
        value={typed.props}
        onChange={(event) => write({ props: event.target.value })}
        hint="One a line: pad : towel = less give , pillow = thick"
        error={wrong('props')}
      />
      <TextField
        label="Muscles or structure"
        rows={2}
        value={typed.muscles}
        onChange={(event) => write({ muscles: event.target.value })}
        hint="One a line."
        error={wrong('muscles')}
      />
      <TextField
        label="Other words to find it by"
        rows={2}
        value={typed.keywords}
        onChange={(event) => write({ keywords: event.target.value })}
        hint="One a line."
        error={wrong('keywords')}
      />
    </div>
  );
}

const HOW: readonly { column: ExerciseColumn; label: string; hint: string; rows: number }[] = [
  { column: 'steps', label: 'How to do it', hint: 'To the patient; one step a line.', rows: 4 },
  { column: 'cues', label: 'Short reminders', hint: 'One a line.', rows: 3 },
  {
    column: 'faults',
    label: 'Faults and fixes',
    hint: 'One a line: chin pokes -> tuck first',
    rows: 3,
  },
  { column: 'feel', label: 'What is felt', hint: '', rows: 2 },
  { column: 'normal', label: 'Normal discomfort', hint: '', rows: 2 },
  {
    column: 'stop',
    label: 'When to stop',
    hint: 'Beyond the signs that stop every exercise.',
    rows: 2,
  },
  { column: 'watch', label: 'What the clinician watches for', hint: '', rows: 2 },
];

/** How it is done and what may go wrong. */
export function How({ typed, write, wrong }: PartProps) {
  return (
    <div className="grid content-start gap-3">
      {HOW.map(({ column, label, hint, rows }) => (
        <TextField
          key={column}
          label={label}
          rows={rows}
          value={typed[column]}
          onChange={(event) => write({ [column]: event.target.value })}
          hint={hint}
          error={wrong(column)}
        />
      ))}
    </div>
  );
}

/** What precautions look at. */
export function Traits({ typed, write }: Omit<PartProps, 'wrong'>) {
  const ticked = typed.traits.split(' | ').filter((trait) => trait !== '');
  return (
    <details>
      <summary className="font-medium">
        What precautions look at ({ticked.length}): tick all that it is
      </summary>
      <fieldset className="grid gap-x-4 pt-1 sm:grid-cols-2 lg:grid-cols-3">
        <legend className="sr-only">What precautions look at</legend>
        {Object.entries(TRAITS).map(([trait, name]) => (
          <label key={trait} className="flex items-center gap-2 py-1">
            <input
              type="checkbox"
              className="size-4"
              checked={ticked.includes(trait)}
              onChange={() =>
                write({
                  traits: (ticked.includes(trait)
                    ? ticked.filter((one) => one !== trait)
                    : [...ticked, trait]
                  ).join(' | '),
                })
              }
            />
            {name}
          </label>
        ))}
      </fieldset>
    </details>
  );
}
