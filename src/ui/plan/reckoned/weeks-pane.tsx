'use client';

import { useMemo } from 'react';
import { circumstancesOf, nextRungIn } from '@/core/choose';
import { formatDose } from '@/core/dose';
import {
  type CalendarDay,
  type PlannedLine,
  type ProgrammeFrame,
  type WeekAhead,
  lookAhead,
} from '@/core/programme';
import { WEEKDAYS, weekday } from '@/core/units';
import { Fold } from '../../primitives/fold';
import { useDeskFacts } from '../desk-facts';
import { minutesText } from '../draft';

/** The weeks that are looked ahead to. */
const AHEAD = [2, 4, 6];

const NAMES = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'];

/** The coming weeks day by day, and what success would take in weeks 2, 4 and 6. */
export function WeeksPane({
  days,
  planned,
  frame,
}: {
  days: readonly CalendarDay[];
  planned: readonly PlannedLine[];
  frame: ProgrammeFrame;
}) {
  return (
    <section
      aria-label="Coming weeks"
      className="grid items-start gap-6 border-t border-ink pt-3 xl:grid-cols-2"
    >
      <Calendar days={days} />
      <Fold summary={<h2 className="inline font-semibold">If every step succeeds</h2>}>
        {() => <Ahead planned={planned} frame={frame} />}
      </Fold>
    </section>
  );
}

function Calendar({ days }: { days: readonly CalendarDay[] }) {
  const most = Math.max(1, ...days.map(({ time }) => time.most));
  const first = days[0];
  const before = first ? WEEKDAYS.indexOf(weekday(first.date)) : 0;
  const cells: (CalendarDay | null)[] = [...Array.from({ length: before }, () => null), ...days];
  const weeks = Array.from({ length: Math.ceil(cells.length / 7) }, (_, week) =>
    cells.slice(week * 7, week * 7 + 7),
  );
  return (
    <details>
      <summary>
        <h2 className="inline font-semibold">Coming weeks</h2>
      </summary>
      <table className="w-full table-fixed">
        <caption className="pb-1 text-left text-small text-soft">
          Time at most each day; a bare day is a rest day.
        </caption>
        <thead>
          <tr>
            {NAMES.map((name) => (
              <th key={name} scope="col" className="text-left text-small font-normal text-soft">
                {name}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {weeks.map((week, row) => (
            <tr key={week.find((day) => day)?.date ?? row}>
              {week.map((day, column) => (
                <td key={day?.date ?? column} className="h-14 border-t border-hair pr-1 align-top">
                  {day && <DayCell day={day} most={most} />}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </details>
  );
}

function DayCell({ day, most }: { day: CalendarDay; most: number }) {
  const { date, time, isRest, isReview, begins, ends } = day;
  const notes = [
    isReview ? 'review' : '',
    begins.length > 0 ? `next phase: ${begins.join(', ')}` : '',
    ends.length > 0 ? `ends: ${ends.join(', ')}` : '',
  ].filter((note) => note !== '');
  return (
    <div className={`text-fine leading-tight ${isReview ? 'bg-wash' : ''}`}>
      <span className="figures text-soft">{date.slice(8)}</span>{' '}
      {isRest ? (
        <span className="text-soft">rest</span>
      ) : (
        <span className="figures">{minutesText(time)}</span>
      )}
      {!isRest && (
        <span
          aria-hidden
          className="mt-0.5 block h-1 bg-lit"
          style={{ width: `${Math.max(6, (100 * time.most) / most)}%` }}
        />
      )}
      {notes.map((note) => (
        <span key={note} className="block truncate text-lit-ink" title={note}>
          {note}
        </span>
      ))}
    </div>
  );
}

const whole = (least: number, most: number) =>
  Math.round(least) === Math.round(most)
    ? String(Math.round(most))
    : `${Math.round(least)}–${Math.round(most)}`;

/** What success would take. It is worked out by the rules that propose steps, day by day for six weeks. */
function Ahead({
  planned,
  frame,
}: {
  readonly planned: readonly PlannedLine[];
  readonly frame: ProgrammeFrame;
}) {
  const facts = useDeskFacts();
  const ahead = useMemo(
    () =>
      lookAhead(planned, frame, AHEAD, {
        nextRung: nextRungIn(facts.catalogue.all, circumstancesOf(facts.home, facts.precautions)),
        waking: facts.waking,
        goodSessions: facts.goodSessions,
        leastRungDays: facts.leastRungDays,
        bands: facts.bands,
        precautions: facts.precautions,
        owned: facts.home?.weights ?? [],
        ownedUnit: facts.home?.unit,
      }),
    [planned, frame, facts],
  );
  const { goodSessions } = facts;
  const steps = ahead.at(-1)?.lines.filter((line) => line.steps.length > 0) ?? [];
  return (
    <>
      <table className="w-full">
        <caption className="pb-1 text-left text-small text-soft">
          What this programme would take by its schools’ rules: a step after {goodSessions} good
          sessions in a row, each taken at once. Nothing changes by itself.
        </caption>
        <thead>
          <tr className="border-b border-hair text-left text-small">
            {['Week', 'Fullest day', 'Held a week', 'Repetitions a week', 'Heaviest load'].map(
              (heading, index) => (
                <th
                  key={heading}
                  scope="col"
                  className={`py-1 font-medium ${index > 0 ? 'text-right' : ''}`}
                >
                  {heading}
                </th>
              ),
            )}
          </tr>
        </thead>
        <tbody>
          {ahead.map((week) => (
            <tr key={week.week} className="border-b border-hair">
              <th scope="row" className="py-1 text-left font-normal">
                {week.week}
              </th>
              <td className="figures text-right">{minutesText(week.secondsADay)}</td>
              <td className="figures text-right">{minutesText(week.heldSecondsAWeek)}</td>
              <td className="figures text-right">
                {whole(week.repsAWeek.least, week.repsAWeek.most)}
              </td>
              <td className="figures text-right">{heaviest(week)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      {steps.length > 0 && (
        <ul className="pt-2 text-small">
          {steps.map(({ line, exercise, dose, steps: taken }) => (
            <li key={line.lineage}>
              {line.exercise.name}
              {exercise !== line.exercise && ` → ${exercise.name}`}:{' '}
              <span className="figures">{formatDose(dose)}</span>{' '}
              <span className="text-soft">
                ({taken.length} {taken.length === 1 ? 'step' : 'steps'})
              </span>
            </li>
          ))}
        </ul>
      )}
    </>
  );
}

function heaviest({ lines }: WeekAhead): string {
  const loads = lines.flatMap(({ dose: { load } }) =>
    load?.kind === 'weight'
      ? load.perSet.flatMap((one) => (one === 'adj' ? [] : [{ one, unit: load.unit }]))
      : [],
  );
  const most = loads.reduce<(typeof loads)[number] | null>(
    (best, next) => (best === null || next.one > best.one ? next : best),
    null,
  );
  return most ? `${most.one} ${most.unit}` : '–';
}
