'use client';

import { NO_SETTINGS, type SchoolSettings } from '@/core/school';
import { useMemo, useState } from 'react';
import { type Dose, formatPart } from '@/core/dose';
import type { Exercise, SchoolId } from '@/core/exercise';
import { type Disagreement, compareSchools, disagreementsOn } from '@/core/progression';
import type { Range } from '@/core/units';
import { Button } from '../../primitives/button';
import { Dialog } from '../../primitives/dialog';
import { RehearsalPanel } from '../../rehearsal/rehearsal-panel';
import { useDeskFacts } from '../desk-facts';
import { minutesText } from '../draft';

/** How hard: share of the maximum push, perceived, load or band. */
const effortText = (dose: Dose) =>
  formatPart(dose, 'effort') ?? formatPart(dose, 'load') ?? formatPart(dose, 'band') ?? '–';

const span = ({ least, most }: Range) =>
  Math.round(least) === Math.round(most)
    ? String(Math.round(most))
    : `${Math.round(least)}–${Math.round(most)}`;

/** The same exercise under each school side by side, and where the trade disagrees about it. */
export function CompareDialog({
  exercise,
  dose,
  current,
  settings = NO_SETTINGS,
  onSchool,
  onDose,
  onClose,
}: {
  exercise: Exercise;
  dose: Dose;
  current: SchoolId | null;
  settings?: SchoolSettings;
  onSchool: (school: SchoolId) => void;
  onDose: (line: string) => void;
  onClose: () => void;
}) {
  const { waking } = useDeskFacts();
  const rows = compareSchools(dose, exercise, waking, settings);
  const [rehearsed, setRehearsed] = useState<SchoolId | null>(null);
  const shown = rows.find(({ id }) => id === rehearsed);
  const choice = useMemo(
    () => (rehearsed === null ? null : { id: rehearsed, settings }),
    [rehearsed, settings],
  );
  return (
    <Dialog
      open
      onClose={onClose}
      wide
      title={`${exercise.name} under each school`}
      about="What each asks of a day and a week. Compare holds by total held time at equal effort, not by repetitions."
    >
      <div className="overflow-auto">
        <table className="w-full min-w-[56rem]">
          <thead>
            <tr className="border-b border-ink text-left align-bottom text-small">
              {[
                'School',
                'Dose',
                'Effort',
                'Contractions a day',
                'Held a day',
                'Time a day',
                'Repetitions a week',
                'Days a week',
                '',
              ].map((heading, index) => (
                <th
                  key={heading || 'choose'}
                  scope="col"
                  className={`py-1 pr-3 font-medium ${index > 2 ? 'text-right' : ''}`}
                >
                  {heading || <span className="sr-only">Choose</span>}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {rows.map(({ id, name, says, source, dose: taken, line, measure }) => (
              <tr
                key={id}
                className={`border-b border-hair align-top ${id === current ? 'bg-wash' : ''}`}
              >
                <th scope="row" className="max-w-72 py-2 pr-3 text-left font-normal">
                  <p className="font-semibold">{name}</p>
                  <p className="text-small text-soft">
                    {says} {source}
                  </p>
                </th>
                <td className="figures max-w-56 py-2 pr-3 text-small">{line}</td>
                <td className="figures py-2 pr-3 text-small whitespace-nowrap">
                  {effortText(taken)}
                </td>
                <td className="figures py-2 pr-3 text-right">{span(measure.contractions)}</td>
                <td className="figures py-2 pr-3 text-right">
                  {measure.heldSecondsADay.most === 0 ? '–' : `${span(measure.heldSecondsADay)} s`}
                </td>
                <td className="figures py-2 pr-3 text-right">{minutesText(measure.secondsADay)}</td>
                <td className="figures py-2 pr-3 text-right">{span(measure.repsAWeek)}</td>
                <td className="figures py-2 pr-3 text-right">{measure.daysAWeek}</td>
                <td className="grid justify-items-end gap-1 py-2">
                  <Button
                    className="whitespace-nowrap"
                    aria-expanded={rehearsed === id}
                    onClick={() => setRehearsed(rehearsed === id ? null : id)}
                    aria-label={`Rehearse ${name}`}
                  >
                    Rehearse
                  </Button>
                  <Button
                    className="whitespace-nowrap"
                    onClick={() => onSchool(id)}
                    aria-label={`${id === current ? 'Take its dose:' : 'Take'} ${name}`}
                  >
                    {id === current ? 'Take its dose' : 'Take'}
                  </Button>
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      {shown && choice && (
        <RehearsalPanel exercise={exercise} dose={shown.line} school={choice} name={shown.name} />
      )}
      {disagreementsOn(exercise.family).map((one) => (
        <Sides key={one.about} disagreement={one} onDose={onDose} />
      ))}
    </Dialog>
  );
}

/** The sides of a disagreement with what follows from each; the clinician takes one or none. */
function Sides({
  disagreement: { about, positions },
  onDose,
}: {
  disagreement: Disagreement;
  onDose: (line: string) => void;
}) {
  return (
    <section>
      <h3 className="font-semibold">Where the trade disagrees: {about.toLowerCase()}</h3>
      <ul className="grid gap-x-6 sm:grid-cols-2">
        {positions.map(({ says, consequence, dose }) => (
          <li key={says} className="border-l-2 border-hair py-1 pl-2">
            {says} <span className="text-soft">{consequence}</span>{' '}
            {dose && (
              <button
                type="button"
                className="figures text-small text-action underline"
                onClick={() => onDose(dose)}
              >
                write {dose}
              </button>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}
