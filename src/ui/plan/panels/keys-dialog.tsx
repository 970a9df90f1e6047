'use client';

import { KeySwitch } from '../../forms/key-switch-box';
import { Dialog } from '../../primitives/dialog';

const KEYS: readonly (readonly [keys: string, does: string])[] = [
  ['Ctrl K', 'Search an exercise by name, finding, muscle or prop'],
  ['Enter', 'In the search: add it. In a dose: on to the next'],
  ['Alt Enter', 'In a dose: write every missing part'],
  ['Alt ↑  Alt ↓', 'Move the line'],
  ['Alt D', 'Duplicate the line'],
  ['Alt C', 'Compare the schools for the line'],
  ['Alt M', 'In a dose: send the measured set-up home with it'],
  ['Alt Delete', 'Remove the line'],
  ['Alt A', 'Add all accepted suggestions'],
  ['Alt F', 'Write every missing part of every line'],
  ['Alt O', 'Put the lines in the order of a session'],
  ['Alt U', 'Take the substitutes of a ready programme that was put down'],
  ['Ctrl Z', 'Undo the last step'],
  ['Ctrl Shift Z', 'Redo it'],
  ['Ctrl Enter', 'Save the version'],
  ['Alt K', 'This sheet'],
];

/** Every key of the desk. */
export function KeysDialog({ open, onClose }: { open: boolean; onClose: () => void }) {
  return (
    <Dialog open={open} onClose={onClose} title="Keys of the desk" about="Each has its button too.">
      <dl className="grid grid-cols-[auto_1fr] gap-x-6 gap-y-1">
        {KEYS.map(([keys, does]) => (
          <div key={keys} className="contents">
            <dt className="figures">{keys}</dt>
            <dd>{does}</dd>
          </div>
        ))}
      </dl>
      <p className="pt-3 text-small text-soft">
        Where Alt types letters, as Option does on a Mac, hold Control with it. No key works while a
        dialog is open.
      </p>
      <KeySwitch />
    </Dialog>
  );
}
