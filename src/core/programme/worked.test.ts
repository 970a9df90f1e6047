import fc from 'fast-check';
import { EXERCISES } from '@/catalogue';
import { FIRST, plannedLines, waking } from '../../../tests/support/programme-cases';
import { asLine, digest, drawnCases } from '../../../tests/support/worked';
import { formatDose } from '../dose';
import { nextRungIn } from '../choose';
import type { Zone } from '../schedule';
import { addDays } from '../units';
import {
  cheapestCuts,
  cutText,
  fullestDay,
  lineAhead,
  lookAhead,
  programmeCalendar,
  versionDifference,
} from '.';

const cases = drawnCases(fc.tuple(plannedLines, waking, fc.integer({ min: 1, max: 3 })), 50, 11);
const frame = (rounds: number) => ({ from: FIRST, review: addDays(FIRST, 20), rounds });
const text = ({
  exercise,
  dose,
}: {
  exercise: { id: string };
  dose: Parameters<typeof formatDose>[0];
}) => `${exercise.id} ${formatDose(dose)}`;

it('the fullest day, and what would shorten it', () => {
  expect(
    cases.map(([lines, hours, rounds]) => {
      const day = fullestDay(lines, frame(rounds), hours);
      const covered = (left: typeof lines) =>
        lines
          .filter((one) => !left.some(({ exercise }) => exercise === one.exercise))
          .map(({ exercise }) => exercise.family);
      return asLine(
        lines.map(text).join('; '),
        day && [day.date, day.sessions.length, day.total],
        [2, 15].map((minutes) =>
          cheapestCuts(lines, frame(rounds), hours, minutes, (left) => covered([...left])).map(
            (cut) => [cut.say, cut.saves, cut.loses.length, cutText(cut)],
          ),
        ),
      );
    }),
  ).toMatchSnapshot();
});

it('the weeks ahead and the calendar', () => {
  const nextRung = nextRungIn(EXERCISES);
  expect(
    cases.map(([lines, hours, rounds]) =>
      asLine(
        lookAhead(lines, frame(rounds), hours, [1, 3, 6], nextRung).map(
          ({ secondsADay, heldSecondsAWeek, repsAWeek }) => [
            secondsADay,
            heldSecondsAWeek,
            repsAWeek,
          ],
        ),
        lines.map((line) => {
          const { dose, exercise, steps } = lineAhead(line, FIRST, 36, nextRung);
          return `${text({ dose, exercise })} ${steps.length} ${digest(steps)}`;
        }),
        programmeCalendar(lines, frame(rounds), hours, 'Europe/Lisbon' as Zone, 28)
          .map(
            ({ sessions, isRest, isReview, begins, ends }) =>
              `${sessions}${isRest ? 'r' : ''}${isReview ? 'R' : ''}${begins.length > 0 ? `+${begins.join()}` : ''}${ends.length > 0 ? `-${ends.join()}` : ''}`,
          )
          .join(' '),
      ),
    ),
  ).toMatchSnapshot();
});

it('how versions differ', () => {
  const version = (i: number) => {
    const [lines = [], , rounds = 1] = cases[i] ?? [];
    return {
      rounds,
      lines: lines.map(({ lineage, exercise, dose, session }) => ({
        lineage,
        name: exercise.name,
        dose,
        session: session ?? null,
      })),
    };
  };
  expect(
    cases.slice(1).map((_, i) => versionDifference(version(i), version(i + 1))),
  ).toMatchSnapshot();
  const one = version(4);
  expect(versionDifference(one, { ...one, lines: [...one.lines].reverse() })).toMatchSnapshot();
  expect(versionDifference(one, one)).toEqual([]);
});
