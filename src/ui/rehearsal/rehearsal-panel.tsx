'use client';

import { type SchoolChoice } from '@/core/school';
import { useEffect, useRef, useState } from 'react';
import type { Exercise } from '@/core/exercise';
import { isDanger, isGrowth } from '@/core/progression';
import { REHEARSED, type RehearsedCourse, type RehearsedKind } from '@/core/rehearsal';
import { useDeskFacts } from '../plan/desk-facts';
import type { RehearseAnswer, RehearseQuestion } from '@/workers/rehearse.worker';
import { Button } from '../primitives/button';
import { KindLines } from './kind-lines';
import { Reckoning } from './reckoning';
import { KIND_LINES, KindSign } from './kinds';

const WEEKS = 12;

/**
 * A school run forward over made-up patients: what course it is likely to take, not what this
 * patient will do. Reckoned in a worker; another seed gives another four.
 */
export function RehearsalPanel({
  exercise,
  dose,
  school,
  name,
}: {
  exercise: Exercise;
  /** The dose it would begin with. */
  dose: string;
  school: SchoolChoice;
  name: string;
}) {
  const facts = useDeskFacts();
  const [seed, setSeed] = useState(0.21);
  const [courses, setCourses] = useState<RehearseAnswer | null>(null);
  const [missing, setMissing] = useState(false);
  const section = useRef<HTMLElement>(null);
  // It opens below the table, and is what was asked for.
  useEffect(() => {
    section.current?.scrollIntoView({ block: 'nearest' });
  }, [courses]);
  useEffect(() => {
    setCourses(null);
    setMissing(false);
    const worker = new Worker(new URL('../../workers/rehearse.worker.ts', import.meta.url), {
      type: 'module',
    });
    worker.onmessage = (event: MessageEvent<RehearseAnswer>) => setCourses(event.data);
    worker.onerror = () => setMissing(true);
    const question: RehearseQuestion = {
      exercise,
      dose,
      school,
      weeks: WEEKS,
      seed,
      owned: facts.home?.weights ?? [],
      ownedUnit: facts.home?.unit,
      precautions: facts.precautions,
      goodSessions: facts.goodSessions,
      leastRungDays: facts.leastRungDays,
    };
    worker.postMessage(question);
    return () => worker.terminate();
  }, [exercise, dose, school, seed, facts]);
  return (
    <section
      ref={section}
      aria-label={`Rehearsal of ${name}`}
      className="grid gap-2 border-t border-hair pt-3"
    >
      <div className="flex flex-wrap items-center gap-3">
        <h3 className="font-semibold">Rehearsal: {name}, twelve weeks</h3>
        <Button onClick={() => setSeed((seed + 0.317) % 1)}>Other patients</Button>
        <span className="text-small text-soft">
          Made-up patients who take every proposal. Ours, no source: a course to expect, no promise.
        </span>
      </div>
      {courses === null ? (
        <Reckoning missing={missing} />
      ) : (
        <>
          <figure className="grid gap-1">
            <Drawing courses={courses} name={name} />
            <figcaption className="text-small text-soft">
              {isLoaded(courses)
                ? 'Load by week.'
                : 'Work of a session by week: seconds held, or repetitions where nothing is held.'}{' '}
              ▲ a step up the stairs, whose work is its own: a line that falls there is no loss.
            </figcaption>
          </figure>
          <ul className="grid gap-1">
            {courses.map((course) => (
              <li key={course.kind} className="flex flex-wrap items-baseline gap-x-2">
                <KindSign kind={course.kind} />
                <strong className="font-semibold">{course.kind}</strong>
                <span className="text-soft">({REHEARSED[course.kind].says})</span>
                <span>{inWords(course)}</span>
                {course.stalls !== null && (
                  <span className="basis-full pl-[42px] text-small text-soft">
                    It stands where it is: {course.stalls}
                  </span>
                )}
              </li>
            ))}
          </ul>
        </>
      )}
    </section>
  );
}

/** What a course came to, with its numbers. */
function inWords({ weeks, moves }: RehearsedCourse<RehearsedKind>): string {
  const last = weeks.at(-1);
  const up = moves.filter(isGrowth).length;
  const down = moves.filter(isDanger).length;
  const times = (n: number) => (n === 1 ? 'once' : `${n} times`);
  return `grows ${times(up)}, eases off ${times(down)}; week ${last?.week ?? 0}: ${last?.exercise ?? ''}, ${last?.dose ?? ''}`;
}

const isLoaded = (courses: RehearseAnswer) =>
  courses.some(({ weeks }) => weeks.some(({ load }) => load !== null));

function Drawing({ courses, name }: { courses: RehearseAnswer; name: string }) {
  const loaded = isLoaded(courses);
  const value = (week: RehearsedCourse['weeks'][number]) => (loaded ? (week.load ?? 0) : week.work);
  const what = loaded ? 'load' : 'work of a session';
  const said = courses.map((course) => `${course.kind}: ${course.weeks.map(value).join(', ')}`);
  return (
    <KindLines
      label={`${name}: ${what} by week for ${said.join('; ')}.`}
      weeks={[1, WEEKS]}
      ticks={[1, 4, 8, 12].map((week) => [week, String(week)] as const)}
      kinds={courses.map(({ kind, weeks }) => ({
        kind,
        values: weeks.map((week) => ({ week: week.week, value: value(week) })),
      }))}
      marks={({ kind }, x, y) =>
        (courses.find((course) => course.kind === kind)?.weeks ?? [])
          .filter((week, index, weeks) => week.rung > (weeks[index - 1]?.rung ?? 0))
          .map((week) => (
            <path
              key={week.week}
              d={`M${x(week.week) - 4} ${y(value(week)) - 3}l4 -6l4 6z`}
              fill={KIND_LINES[kind].colour}
            >
              <title>Next step of the stairs</title>
            </path>
          ))
      }
    />
  );
}
