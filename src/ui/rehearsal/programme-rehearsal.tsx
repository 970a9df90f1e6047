'use client';

import { useEffect, useState } from 'react';
import { REHEARSED, type RehearsedKind, type RehearsedProgramme } from '@/core/rehearsal';
import { formatRange, formatSeconds } from '@/core/units';
import type { ProgrammeAnswer, ProgrammeQuestion } from '@/workers/rehearse-programme.worker';
import { Button } from '../primitives/button';
import { Dialog } from '../primitives/dialog';
import { KindLines } from './kind-lines';
import { KindSign } from './kinds';
import { Reckoning } from './reckoning';

const WEEKS = 12;

/**
 * A whole programme run forward over four made-up patients: what its day will come to take, and where
 * each line ends. Reckoned in a worker.
 */
export function ProgrammeRehearsal({
  name,
  lines,
  rounds,
  onClose,
}: Pick<ProgrammeQuestion, 'lines' | 'rounds'> & { name: string; onClose: () => void }) {
  const [seed, setSeed] = useState(0.21);
  const [courses, setCourses] = useState<ProgrammeAnswer | null>(null);
  const [missing, setMissing] = useState(false);
  const [kind, setKind] = useState<RehearsedKind>('average');
  useEffect(() => {
    setCourses(null);
    setMissing(false);
    const worker = new Worker(
      new URL('../../workers/rehearse-programme.worker.ts', import.meta.url),
      { type: 'module' },
    );
    worker.onmessage = (event: MessageEvent<ProgrammeAnswer>) => setCourses(event.data);
    worker.onerror = () => setMissing(true);
    worker.postMessage({ lines, rounds, weeks: WEEKS, seed } satisfies ProgrammeQuestion);
    return () => worker.terminate();
  }, [lines, rounds, seed]);
  const shown = courses?.find((one) => one.kind === kind);
  return (
    <Dialog
      open
      onClose={onClose}
      wide
      title={`Rehearsal: ${name}, twelve weeks`}
      about="Made-up patients who take every proposal, each line for itself. Ours, no source: a course to expect, no promise."
    >
      {courses === null ? (
        <Reckoning missing={missing} />
      ) : (
        <>
          {lines.every(({ school }) => school === null) && (
            <p>
              No line of it has a way to grow: it stays as it is until you choose one, or change it.
            </p>
          )}
          <figure className="grid gap-1">
            <Drawing courses={courses} name={name} />
            <figcaption className="text-small text-soft">
              Minutes of the day, by week: at most, with rests and changes.
            </figcaption>
          </figure>
          <ul className="grid gap-1">
            {courses.map((one) => (
              <li key={one.kind} className="flex flex-wrap items-baseline gap-x-2">
                <KindSign kind={one.kind} />
                <strong className="font-semibold">{one.kind}</strong>
                <span className="text-soft">({REHEARSED[one.kind].says})</span>
                <span>{inWords(one)}</span>
              </li>
            ))}
          </ul>
          <div className="flex flex-wrap items-end gap-3">
            <fieldset className="flex flex-wrap gap-3">
              <legend className="text-small text-soft">Each line for</legend>
              {courses.map((one) => (
                <label key={one.kind} className="flex items-center gap-1.5">
                  <input
                    type="radio"
                    name="kind"
                    checked={kind === one.kind}
                    onChange={() => setKind(one.kind)}
                  />
                  {one.kind}
                </label>
              ))}
            </fieldset>
            <Button onClick={() => setSeed((seed + 0.317) % 1)}>Other patients</Button>
          </div>
          {shown && <Lines course={shown} />}
        </>
      )}
    </Dialog>
  );
}

const minutes = (course: RehearsedProgramme, week: number) =>
  (course.weeks[week]?.asks?.day.most ?? 0) / 60;

/** What the day takes at the beginning and at the end, in words. */
function inWords({ weeks }: RehearsedProgramme): string {
  const [first, last] = [weeks[0]?.asks, weeks.at(-1)?.asks];
  if (!first || !last) return 'nothing is due.';
  return `the day from ${formatRange(first.day)} to ${formatRange(last.day)}, held from ${formatSeconds(first.heldADay)} to ${formatSeconds(last.heldADay)} a day.`;
}

function Lines({ course }: { course: RehearsedProgramme }) {
  const times = (n: number) => (n === 0 ? 'never' : n === 1 ? 'once' : `${n} times`);
  return (
    <div
      className="overflow-x-auto"
      tabIndex={0}
      role="region"
      aria-label="Each line after twelve weeks"
    >
      <table className="w-full min-w-[40rem]">
        <thead>
          <tr className="border-b border-ink text-left">
            {['Exercise', 'Begins with', 'After twelve weeks', 'Grows', 'Eases off'].map((one) => (
              <th key={one} scope="col" className="py-1 pr-4 font-medium">
                {one}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {course.lines.map((line) => (
            <tr key={line.exercise} className="border-b border-hair align-top">
              <th scope="row" className="py-1 pr-4 text-left font-normal" dir="auto">
                {line.exercise}
              </th>
              <td className="figures py-1 pr-4 text-small">{line.from}</td>
              <td className="py-1 pr-4">
                {line.toExercise !== line.exercise && <span dir="auto">{line.toExercise}, </span>}
                <span className="figures text-small">{line.to}</span>
              </td>
              <td className="py-1 pr-4">{times(line.grew)}</td>
              <td className="py-1">{times(line.eased)}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

function Drawing({ courses, name }: { courses: ProgrammeAnswer; name: string }) {
  const weeks = Array.from({ length: WEEKS + 1 }, (_, week) => week);
  const said = courses.map(
    (one) => `${one.kind}: ${weeks.map((week) => Math.round(minutes(one, week))).join(', ')}`,
  );
  return (
    <KindLines
      label={`${name}: minutes of the day by week for ${said.join('; ')}.`}
      weeks={[0, WEEKS]}
      ticks={[0, 4, 8, 12].map((week) => [week, week === 0 ? 'start' : String(week)] as const)}
      kinds={courses.map((one) => ({
        kind: one.kind,
        values: weeks.map((week) => ({ week, value: minutes(one, week) })),
      }))}
    />
  );
}
