import fc from 'fast-check';
import { EXERCISES } from '@/catalogue';
import { doseFrom } from '../../../tests/support/dose-lines';
import { lineFlags } from '../exercise';
import { FIRST, exerciseOf, plannedLines, waking } from '../../../tests/support/programme-cases';
import { asLine, digest, drawnCases } from '../../../tests/support/worked';
import { formatDose } from '../dose';
import { nextRungIn } from '../choose';
import { withFamilies } from '../choose';
import { ABOUT_NOTHING } from '../findings';
import type { Zone } from '../schedule';
import { PRECAUTIONS, type PrecautionId, SCREENED } from '../screen';
import { addDays } from '../units';
import {
  CHECK_AREAS,
  cheapestCuts,
  cutText,
  fullestDay,
  isFine,
  lineAhead,
  lookAhead,
  plannedLine,
  programmeCalendar,
  programmeChecks,
  versionDifference,
} from '.';

const cases = drawnCases(fc.tuple(plannedLines, waking, fc.integer({ min: 1, max: 3 })), 34, 11);
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
        lookAhead(lines, frame(rounds), [1, 3, 6], { nextRung, waking: hours }).map(
          ({ secondsADay, heldSecondsAWeek, repsAWeek }) => [
            secondsADay,
            heldSecondsAWeek,
            repsAWeek,
          ],
        ),
        lines.map((line) => {
          const { dose, exercise, steps } = lineAhead(line, FIRST, 36, { nextRung, waking: hours });
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

it('what the checks say of any programme', () => {
  const facts = fc.tuple(
    plannedLines,
    fc.subarray(Object.keys(PRECAUTIONS) as PrecautionId[], { maxLength: 2 }),
    fc.constantFrom(null, [], ['soft ball'], ['flat band', 'weights']),
    fc.constantFrom(null, 5, 10, 20),
    fc.constantFrom(299, 300, 301, 600, 1500),
    fc.nat({ max: 99 }),
  );
  const finding = (rule: string) => ({
    key: rule,
    about: { ...ABOUT_NOTHING, rule },
    say: `${rule}.`,
  });
  expect(
    drawnCases(facts, 70, 13).map(([lines, precautions, props, minutesADay, least, roll]) => {
      const checks = programmeChecks({
        lines: lines.map((line, i) => {
          const flags = lineFlags(precautions, line.exercise, line.dose);
          return {
            id: line.lineage,
            name: line.exercise.name,
            planned: (roll + i) % 9 === 0 ? null : line,
            missing: (roll + i) % 4 === 0 ? ['the side', 'the effort'] : [],
            assumed: (roll + i) % 3 === 0 ? ['rest 60s'] : [],
            offers: [],
            flags,
            openFlags: (roll + i) % 2 === 0 ? flags : [],
          };
        }),
        blocked: roll % 11 === 0,
        screened: SCREENED[roll % SCREENED.length] ?? 'none',
        reviewOn: roll % 2 === 0 ? FIRST : null,
        precautions,
        findings:
          roll % 5 === 0
            ? []
            : ['deep-flexors', 'weak-side', 'wall-gap', 'added']
                .slice(roll % 3)
                .map(finding)
                .map(withFamilies),
        props,
        day: roll % 7 === 0 ? null : { least: least as never, most: (least + 40) as never },
        minutesADay,
        unplaced: roll % 6 === 0 ? ['No room for one.'] : [],
      });
      return asLine(
        checks.map(({ area, weight, say, line }) => `${area} ${weight} ${line ?? ''} ${say}`),
        CHECK_AREAS.map((area) => isFine(checks, area)),
      );
    }),
  ).toMatchSnapshot();
  const none = {
    lines: [],
    blocked: false,
    screened: 'none' as const,
    reviewOn: null,
    precautions: [],
    findings: [],
    props: null,
    day: null,
    minutesADay: null,
    unplaced: [],
  };
  expect(programmeChecks(none)).toMatchSnapshot();
});

it('cuts at the edge of the minutes, the sets and the warm-up', () => {
  const line = (text: string) => plannedLine('a', exerciseOf('tuck-lying'), doseFrom(text), FIRST);
  const hours = { wake: 420 as never, sleep: 1320 as never };
  const lines = [
    '2x10',
    '3x10 warm-up 1',
    '2x10 warm-up 1',
    '3x10 5/6/7kg',
    '2x10s',
    '1x10s',
    'x10 2/day',
    'x10 1-3/day',
    'x10 3/day',
  ];
  expect(
    lines.map((text) =>
      asLine(
        text,
        cheapestCuts([line(text)], frame(1), hours, 0, () => []).map(({ say, saves }) => [
          say,
          saves,
        ]),
      ),
    ),
  ).toMatchSnapshot();
  const day = fullestDay([line('10x30s')], frame(1), hours);
  const minutes = (day?.total.least ?? 0) / 60;
  expect(
    [minutes - 0.01, minutes, minutes + 0.01].map(
      (at) => cheapestCuts([line('10x30s')], frame(1), hours, at, () => []).length,
    ),
  ).toMatchSnapshot();
});

it('cuts by what they lose, then what they save, the smaller change first', () => {
  const hours = { wake: 420 as never, sleep: 1320 as never };
  const line = (lineage: string, id: string, text: string) =>
    plannedLine(lineage, exerciseOf(id), doseFrom(text), FIRST);
  // One that goes altogether and one that does a session less save the same.
  const lines = [
    line('a', 'tuck-lying', '10x10s 1/day'),
    line('b', 'tuck-lighten', '10x10s 2/day'),
    line('c', 'neck-warm-up', '2x10 3/day'),
  ];
  expect(
    [0, 1, 5].flatMap((minutes) =>
      cheapestCuts(lines, frame(1), hours, minutes, (left) =>
        left.length < 3 ? ['a finding'] : [],
      ).map((cut) => asLine(minutes, cut.say, cut.saves, cut.loses, cutText(cut))),
    ),
  ).toMatchSnapshot();
  expect(
    cheapestCuts(lines, frame(1), hours, 0, () => []).map((cut) => asLine(cut.say, cut.saves)),
  ).toMatchSnapshot();
});
