'use client';

import type { PainTold, Progress, ProgressDay } from '@/core/history';
import { Lantern } from '../lantern/lantern';
import { describeDays, ribOfDay } from '../lantern/rib';
import { writtenWay } from '@/catalogue/messages/written-way';
import { useLanguage, useSay, useShortDay } from './say';

/** How it is going: in words first, then the lantern of the weeks and the line of the pain. */
export function ProgressView({ progress }: { progress: Progress }) {
  const say = useSay();
  const inWords = useShortDay();
  const { days, sessions, pain, activities, holds } = progress;
  const told = days.filter(({ worst }) => worst !== null);
  const nothing = !sessions && told.length === 0;
  return (
    <div className="grid gap-6">
      <ul className="grid gap-2 text-[1.05em]">
        {nothing && <li>{say('progress.none')}</li>}
        {sessions && <li>{say('progress.sessions', { ...sessions })}</li>}
        {pain && <li>{say(PAIN_SAID[pain.said], { from: pain.from, to: pain.to })}</li>}
        {!pain && told.length > 0 && <li>{say('progress.painEarly')}</li>}
        {activities.map((one) => (
          <li key={one.activity} dir="auto">
            {say(one.scores.length > 1 ? 'progress.activity' : 'progress.activityNow', {
              activity: one.activity,
              from: one.from,
              to: one.to,
            })}
          </li>
        ))}
        {holds.map((one) => (
          <li key={one.name}>{say('progress.hold', one)}</li>
        ))}
      </ul>
      {days.length > 0 && (
        <section className="grid gap-2">
          <h2 className="text-xl">{say('progress.lantern')}</h2>
          <div className="flex flex-wrap gap-4">
            {weeksOf(days).map((week) => (
              <figure key={week[0]?.date} className="grid justify-items-center gap-1">
                <Lantern
                  ribs={week.map(({ adherence }) => ribOfDay(adherence))}
                  label={describeDays(
                    week.map(({ adherence }) => adherence),
                    say,
                  )}
                  height={84}
                />
                <figcaption className="figures text-[0.7em] text-soft">
                  {week[0] && inWords(week[0].date)}
                </figcaption>
              </figure>
            ))}
          </div>
        </section>
      )}
      {activities
        .filter(({ scores }) => scores.length > 1)
        .map(({ activity, scores }) => (
          <section key={activity} className="grid gap-2">
            <h2 className="text-xl" dir="auto">
              {activity}
            </h2>
            <DayLine
              days={scoresOver(days, scores)}
              label={`${activity}, ${say('week.scale')}`}
              colour="var(--lit-ink)"
            />
          </section>
        ))}
      {told.length > 1 && (
        <section className="grid gap-2">
          <h2 className="text-xl">{say('progress.pain')}</h2>
          <DayLine
            days={days.map(({ date, worst }) => ({ date, value: worst }))}
            label={say('progress.pain')}
            colour="var(--plum)"
            fitted={pain?.fitted ?? []}
          />
          <details>
            <summary className="min-h-11 py-2 text-action">{say('progress.table')}</summary>
            <table className="figures w-full text-fine">
              <thead>
                <tr>
                  {(['day', 'worst', 'sessionsDone'] as const).map((column) => (
                    <th key={column} scope="col" className="text-start font-medium">
                      {say(`progress.${column}`)}
                    </th>
                  ))}
                </tr>
              </thead>
              <tbody>
                {[...days].reverse().map(({ date, worst, done }) => (
                  <tr key={date}>
                    <td>{inWords(date)}</td>
                    <td>{worst ?? '–'}</td>
                    <td>{done}</td>
                  </tr>
                ))}
              </tbody>
            </table>
          </details>
        </section>
      )}
    </div>
  );
}

const PAIN_SAID = {
  down: 'progress.painDown',
  downALittle: 'progress.painDownALittle',
  up: 'progress.painUp',
  upALittle: 'progress.painUpALittle',
  back: 'progress.painBack',
  same: 'progress.painSame',
  unclear: 'progress.painUnclear',
} as const;

/** Weeks of seven days counted back from today, the oldest first. */
function weeksOf(days: readonly ProgressDay[]): ProgressDay[][] {
  const weeks: ProgressDay[][] = [];
  for (let end = days.length; end > 0; end -= 7)
    weeks.unshift(days.slice(Math.max(0, end - 7), end));
  return weeks;
}

const HIGH = 100;

/** A plain line of numbers 0–10 over the days; a day without a word is a gap, not a nought. */
function DayLine({
  days,
  label,
  colour,
  fitted = [],
}: {
  days: readonly { readonly date: string; readonly value: number | null }[];
  label: string;
  colour: string;
  /** The course behind the ups and downs, with its band; nothing where none is told. */
  fitted?: PainTold['fitted'];
}) {
  const isLeftwards = writtenWay(useLanguage()) === 'rtl';
  const wide = Math.max(60, days.length * 4);
  // Days run the way the language is read.
  const x = (index: number) => {
    const along = days.length > 1 ? (index / (days.length - 1)) * wide : 0;
    return isLeftwards ? wide - along : along;
  };
  const y = (value: number) => HIGH - (value / 10) * HIGH;
  const told = days.flatMap(({ value, date }, index) =>
    value === null ? [] : [{ date, at: [x(index), y(value)] as const }],
  );
  const path = told.map(
    ({ at: [a, b] }, i) => `${i === 0 ? 'M' : 'L'}${a.toFixed(1)} ${b.toFixed(1)}`,
  );
  const indexOf = new Map(days.map(({ date }, index) => [date, index]));
  const course = fitted.flatMap(({ date, value, low, high }) => {
    const index = indexOf.get(date);
    return index === undefined
      ? []
      : [{ at: x(index), value: y(value), low: y(low), high: y(high) }];
  });
  const through = (points: readonly (readonly [number, number])[]) =>
    points.map(([a, b]) => `${a.toFixed(1)} ${b.toFixed(1)}`).join('L');
  return (
    <svg
      viewBox={`${isLeftwards ? -6 : -14} -6 ${wide + 20} ${HIGH + 12}`}
      direction="ltr"
      className="w-full"
      role="img"
      aria-label={label}
    >
      {[0, 5, 10].map((value) => (
        <g key={value}>
          <line
            x1={0}
            x2={wide}
            y1={y(value)}
            y2={y(value)}
            stroke="var(--hair)"
            strokeWidth={0.6}
          />
          <text
            x={isLeftwards ? wide + 3 : -3}
            y={y(value) + 3}
            textAnchor={isLeftwards ? 'start' : 'end'}
            fontSize={8}
            fill="var(--soft)"
          >
            {value}
          </text>
        </g>
      ))}
      {course.length > 1 && (
        <>
          <path
            d={`M${through([
              ...course.map(({ at, low }) => [at, low] as const),
              ...[...course].reverse().map(({ at, high }) => [at, high] as const),
            ])}Z`}
            fill={colour}
            fillOpacity={0.18}
          />
          <path
            d={`M${through(course.map(({ at, value }) => [at, value] as const))}`}
            fill="none"
            stroke={colour}
            strokeWidth={2.2}
          />
        </>
      )}
      <path
        d={path.join('')}
        fill="none"
        stroke={colour}
        strokeWidth={course.length > 1 ? 0.6 : 1.6}
      />
      {told.map(({ date, at: [cx, cy] }) => (
        <circle key={date} cx={cx} cy={cy} r={1.7} fill={colour} />
      ))}
    </svg>
  );
}

/** A score on each day it was told, over the same days as the pain. */
function scoresOver(
  days: readonly ProgressDay[],
  scores: readonly { readonly date: string; readonly score: number }[],
) {
  const told = new Map(scores.map(({ date, score }) => [date, score]));
  return days.map(({ date }) => ({ date, value: told.get(date) ?? null }));
}
