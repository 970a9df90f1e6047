'use client';

import { useMemo, useState } from 'react';
import { v4 as uuid } from 'uuid';
import { ALIASES } from '@/catalogue';
import type { Exercise } from '@/core/exercise';
import { exerciseFinder } from '@/core/find';
import { PASTE_LIMITS, type PastedLine, readPasted } from '@/core/paste';
import { Button } from '../../primitives/button';
import { Dialog } from '../../primitives/dialog';
import { Choice, TextField } from '../../primitives/field';
import { type DeskLine, newLine } from '../draft';

/** What is not taken to the desk. */
const LEFT_OUT = 'left out';

/**
 * A whole written programme as text: what is recognised stands with its exercise, what is doubtful is
 * asked line by line, and a dose that cannot be read is asked on the desk.
 */
export function PasteDialog({
  open,
  onClose,
  exercises,
  onAdd,
}: {
  open: boolean;
  onClose: () => void;
  exercises: readonly Exercise[];
  onAdd: (lines: readonly DeskLine[]) => void;
}) {
  const [text, setText] = useState('');
  /** What was chosen for a line, by its place. */
  const [chosen, setChosen] = useState<Readonly<Record<number, string>>>({});
  const find = useMemo(() => exerciseFinder(exercises, ALIASES, new Map()), [exercises]);
  const lines = useMemo(
    () =>
      open && text.trim() !== ''
        ? readPasted(text, find, ({ id, name }) => [name, ...(ALIASES[id] ?? [])])
        : [],
    [open, text, find],
  );
  const idOf = (line: PastedLine, at: number) => chosen[at] ?? line.exercise?.id ?? '';
  const asked = lines.filter((line, at) => idOf(line, at) === '').length;
  const taken = lines.flatMap((line, at) => {
    const id = idOf(line, at);
    const exercise = exercises.find((one) => one.id === id);
    return exercise ? [{ exercise, dose: line.dose }] : [];
  });
  function put() {
    onAdd(taken.map(({ exercise, dose }) => newLine(uuid(), exercise.id, dose)));
    onClose();
    setText('');
    setChosen({});
  }
  return (
    <Dialog
      open={open}
      onClose={onClose}
      title="Paste a written programme"
      about={`One exercise a line, at most ${PASTE_LIMITS.lines}. What is not certain is asked; nothing is guessed.`}
      wide
    >
      <TextField
        label="The text"
        rows={6}
        dir="auto"
        value={text}
        maxLength={PASTE_LIMITS.lines * PASTE_LIMITS.letters}
        onChange={({ target }) => {
          setText(target.value);
          setChosen({});
        }}
      />
      {lines.length > 0 && (
        <ul className="divide-y divide-hair border-y border-hair">
          {lines.map((line, at) => (
            <Read
              key={`${at} ${line.text}`}
              line={line}
              value={idOf(line, at)}
              onChoose={(id) => setChosen({ ...chosen, [at]: id })}
            />
          ))}
        </ul>
      )}
      <div className="flex flex-wrap items-center gap-3">
        <Button look="main" disabled={taken.length === 0 || asked > 0} onClick={put}>
          Put {taken.length} {taken.length === 1 ? 'line' : 'lines'} on the desk
        </Button>
        <p role="status" className="text-soft">
          {asked > 0 &&
            `${asked} ${asked === 1 ? 'line asks' : 'lines ask'} which exercise is meant.`}
        </p>
      </div>
    </Dialog>
  );
}

/** One line: recognised, or asked. */
function Read({
  line,
  value,
  onChoose,
}: {
  line: PastedLine;
  value: string;
  onChoose: (id: string) => void;
}) {
  const { exercise, offered, name, dose, doseError, text } = line;
  const options = exercise && !offered.includes(exercise) ? [exercise, ...offered] : offered;
  return (
    <li className="grid gap-x-4 gap-y-1 py-2 sm:grid-cols-2">
      <div className="min-w-0">
        <p dir="auto">{text}</p>
        <p className="text-small text-soft">
          {dose === ''
            ? 'No dose: the desk asks for it.'
            : doseError === null
              ? 'Dose: '
              : 'The desk asks about the dose: '}
          {dose !== '' && <span className="figures">{dose}</span>}
          {doseError !== null && <span className="block">{doseError.say}</span>}
        </p>
      </div>
      <Choice
        label={exercise ? 'Exercise' : 'Which exercise is meant?'}
        value={value}
        onChange={({ target }) => onChoose(target.value)}
        aria-label={`Exercise for: ${name || text}`}
      >
        {value === '' && <option value="">choose …</option>}
        {options.map((one) => (
          <option key={one.id} value={one.id}>
            {one.name}
          </option>
        ))}
        <option value={LEFT_OUT}>leave this line out</option>
      </Choice>
    </li>
  );
}
