'use client';

import { SCHOOLS, type SchoolChoice, applySchool } from '@/core/school';
import { type Dose, formatDose, sayDoseChange } from '@/core/dose';
import type { Exercise } from '@/core/exercise';
import { Button } from '../../primitives/button';
import { Dialog } from '../../primitives/dialog';

/** A school that cannot go on from the dose: what it would become, before anybody takes it. */
export function SchoolDialog({
  exercise,
  dose,
  choice,
  onTake,
  onClose,
}: {
  exercise: Exercise;
  dose: Dose;
  choice: SchoolChoice;
  onTake: () => void;
  onClose: () => void;
}) {
  const { name, says } = SCHOOLS[choice.id];
  const { dose: after, changes, later } = applySchool(dose, exercise, choice);
  return (
    <Dialog open onClose={onClose} title={`${name} cannot go on from this dose`} about={says}>
      <div className="grid gap-3">
        <dl className="grid grid-cols-[auto_minmax(0,1fr)] gap-x-3 gap-y-1">
          <dt className="text-soft">Written</dt>
          <dd className="figures">{formatDose(dose)}</dd>
          <dt className="text-soft">It would become</dt>
          <dd className="figures">{formatDose(after)}</dd>
          {later.map((phase) => (
            <PhaseRow key={formatDose(phase.dose)} text={formatDose(phase.dose)} />
          ))}
        </dl>
        <p>Changed: {changes.map(sayDoseChange).join(', ')}.</p>
        <div className="flex flex-wrap gap-2">
          <Button look="main" onClick={onTake}>
            Change the dose
          </Button>
          <Button onClick={onClose}>Leave it as written</Button>
        </div>
      </div>
    </Dialog>
  );
}

function PhaseRow({ text }: { text: string }) {
  return (
    <>
      <dt className="text-soft">and later</dt>
      <dd className="figures">{text}</dd>
    </>
  );
}
