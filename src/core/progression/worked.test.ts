import { NO_SETTINGS, SCHOOLS, applySchool, startDose, beyondBounds } from '../school';
import fc from 'fast-check';
import { EXERCISES } from '@/catalogue';
import { SKIP_REASONS, SORENESS } from '../adherence';
import {
  FIRST,
  choicesFor,
  exerciseOf,
  plannedLines,
} from '../../../tests/support/programme-cases';
import { dose } from '../../../tests/support/dose-lines';
import { factsFor } from '../../../tests/support/step-cases';
import { asLine, digest, drawnCases } from '../../../tests/support/worked';
import { type Dose, formatDose } from '../dose';
import { PRECAUTIONS, type PrecautionId } from '../screen';
import { type SessionLog, worthOf } from '../course';
import type { Exercise } from '../exercise';
import { addDays, seconds } from '../units';
import {
  compareSchools,
  SCHOOL_RULES,
  daysAWeek,
  disagreementsOn,
  fourthSet,
  ladderFor,
  nextHold,
  nextStep,
  outlookOf,
  weighProposals,
  withDayBetween,
  takeOff,
  stationsFor,
  type Standing,
} from '.';

const HOURS = { wake: 420 as never, sleep: 1320 as never };
const GOOD: Omit<SessionLog, 'date' | 'id'> = {
  share: 1,
  sets: [10, 10, 10, 10],
  hold: null,
  effort: 4,
  pain: 1,
  nextMorning: 'none',
  skipped: null,
  stopped: 'no',
};
const log: fc.Arbitrary<Partial<SessionLog>> = fc.record(
  {
    share: fc.constantFrom(1, 1, 1.2, 0.5),
    sets: fc.constantFrom([10, 10, 10], [15, 15, 15], [12, 9], [10, 6, 9, 13], [10, 6, 5, 3]),
    hold: fc.constantFrom(null, 3, 4.9, 5, 10, 30, 60),
    effort: fc.constantFrom(null, 4, 7, 8),
    pain: fc.constantFrom(null, 0, 2, 3, 5, 6),
    nextMorning: fc.constantFrom(null, 'none' as const, ...SORENESS),
    skipped: fc.constantFrom(null, null, ...SKIP_REASONS),
    stopped: fc.constantFrom('no' as const, 'no' as const, 'stands' as const, 'let go on' as const),
  },
  { requiredKeys: [] },
);
const DOSES = drawnCases(dose, 100, 6);
/** Mostly good sessions, with one or two that were not. */
const logs = fc
  .tuple(fc.nat({ max: 7 }), fc.array(fc.tuple(fc.nat({ max: 7 }), log), { maxLength: 2 }))
  .map(([count, changes]) =>
    Array.from({ length: count }, (_, day): SessionLog => ({
      id: `s${day}`,
      date: addDays(FIRST, day),
      ...GOOD,
      ...changes.reduce<Partial<SessionLog>>(
        (all, [at, change]) => (at === day ? { ...all, ...change } : all),
        {},
      ),
    })),
  );

const standing = (exercise: Exercise, dose: Dose, settings = NO_SETTINGS): Standing => ({
  exercise,
  dose,
  settings,
  sessions: [],
  owned: [],
  unit: 'kg',
  bands: [],
  past: [dose],
});
const said = (step: ReturnType<typeof nextStep>) =>
  asLine(
    step.move,
    step.dose && formatDose(step.dose),
    step.exercise?.id ?? '',
    step.why,
    step.source,
  );

it('every school on every exercise it fits: where it starts, what it changes, how it grows', () => {
  expect(
    EXERCISES.flatMap((one, i) =>
      choicesFor(one).map((choice) => {
        const {
          dose: applied,
          changes,
          later,
        } = applySchool(DOSES[i] ?? startDose(choice.id, one, choice.settings), one, choice);
        let grown = startDose(choice.id, one, choice.settings);
        const path: string[] = [formatDose(grown)];
        for (let step = 0; step < 8; step += 1) {
          const growth = SCHOOL_RULES[choice.id].next(standing(one, grown, choice.settings));
          path.push(
            growth.kind === 'dose' ? formatDose(growth.dose) : `${growth.kind}: ${growth.why}`,
          );
          if (growth.kind !== 'dose') break;
          grown = growth.dose;
        }
        return asLine(
          one.id,
          choice.id,
          beyondBounds(SCHOOLS[choice.id], applied),
          formatDose(applied),
          digest(changes),
          later.map(({ dose: after }) => formatDose(after)),
          digest(path),
          path.at(-1),
        );
      }),
    ),
  ).toMatchSnapshot();
});

it('the way each school grows, once in full', () => {
  const one = exerciseOf('tuck-lying');
  expect(
    EXERCISES.concat(one)
      .flatMap((each) => choicesFor(each).map((choice) => ({ each, choice })))
      .filter(
        ({ choice }, i, all) =>
          all.findIndex(
            (other) => other.choice.id === choice.id && other.choice.settings === choice.settings,
          ) === i || i % 40 === 0,
      )
      .map(({ each, choice }) => {
        let grown = startDose(choice.id, each, choice.settings);
        const path: string[] = [formatDose(grown)];
        for (let step = 0; step < 12; step += 1) {
          const growth = SCHOOL_RULES[choice.id].next(standing(each, grown, choice.settings));
          path.push(
            growth.kind === 'dose'
              ? `${formatDose(growth.dose)} (${growth.why})`
              : `${growth.kind}: ${growth.why}`,
          );
          if (growth.kind !== 'dose') break;
          grown = growth.dose;
        }
        return `${each.id} ${choice.id}: ${path.join(' → ')}`;
      }),
  ).toMatchSnapshot();
});

it('the next step of any line', () => {
  const cases = drawnCases(
    fc.tuple(
      plannedLines.map(([line]) => line),
      logs,
      fc.constantFrom(2, 3, 3, 4),
      fc.subarray(Object.keys(PRECAUTIONS) as PrecautionId[], { maxLength: 2 }),
      fc.constantFrom(
        null,
        null,
        null,
        'drawing in' as const,
        'spreading' as const,
        'deficit grows' as const,
        'no clear change' as const,
      ),
      fc.constantFrom(0, 0, 0, 2),
      fc.nat({ max: 80 }),
    ),
    260,
    17,
  );
  expect(
    cases.flatMap(([line, sessions, goodSessions, precautions, limb, faults, nth]) => {
      if (!line) return [];
      const other = EXERCISES[nth] ?? null;
      const given = factsFor(line.exercise, line.dose, {
        school: line.school,
        logs: sessions,
        goodSessions,
        precautions,
        limb,
        faults,
        above: nth % 3 ? other : null,
        below: nth % 2 ? other : null,
        owned: nth % 5 ? [] : [1, 2, 4],
      });
      return [
        asLine(
          line.exercise.id,
          formatDose(line.dose),
          line.school?.id ?? '',
          said(nextStep(given)),
        ),
      ];
    }),
  ).toMatchSnapshot();
});

it('sessions at the edges of good', () => {
  const at = (change: Partial<SessionLog>): SessionLog => ({
    id: 's',
    date: FIRST,
    ...GOOD,
    ...change,
  });
  const edges = [
    { share: 0.99 },
    { share: 1 },
    { effort: 7 },
    { effort: 8 },
    { effort: null },
    { pain: 2 },
    { pain: 3 },
    { pain: 5 },
    { pain: 6 },
    { pain: null },
    ...SORENESS.flatMap((nextMorning) => [{ nextMorning }, { nextMorning, pain: 4 }]),
    { nextMorning: null, pain: 4 },
    { stopped: 'stands' as const },
    { stopped: 'let go on' as const },
    ...SKIP_REASONS.map((skipped) => ({ skipped, share: 0 })),
  ];
  expect(
    edges.map((change) =>
      asLine(
        change,
        worthOf(at(change), startDose('climb', exerciseOf('tuck-lying'), NO_SETTINGS)),
      ),
    ),
  ).toMatchSnapshot();
});

it('easier doses, days between, ladders', () => {
  expect(
    drawnCases(dose, 80, 23).map((one) => {
      const easier = (
        [
          ['hold'],
          ['volume'],
          ['stations'],
          ['load'],
          ['band'],
          ['effort'],
          ['times'],
          ['days'],
        ] as const
      ).map((order) => takeOff(one, order, { stations: [4, 8, 16], owned: [] })?.dose ?? null);
      const between = withDayBetween(one);
      return asLine(
        formatDose(one),
        easier.map((each) => each && formatDose(each)),
        between && formatDose(between),
        daysAWeek(one),
        [[], [4, 8, 16]].map((holds) => {
          const next = nextHold(one, stationsFor(one, {}, holds));
          return next && formatDose(next.dose);
        }),
      );
    }),
  ).toMatchSnapshot();
  expect(
    [1, 3, 4, 5, 9, 10, 29, 30, 59, 60, 90].map((hold) =>
      asLine(hold, ladderFor(hold, 4, []), ladderFor(hold, 5, []), ladderFor(hold, 5, [2, 4])),
    ),
  ).toMatchSnapshot();
  expect(
    [...new Set(EXERCISES.map(({ family }) => family))].map((family) =>
      asLine(
        family,
        disagreementsOn(family).map(({ about }) => about),
      ),
    ),
  ).toMatchSnapshot();
});

it('the adjustable scheme after its fourth set', () => {
  const scheme = drawnCases(dose, 400, 29)
    .filter(({ load }) => load?.kind === 'weight')
    .slice(0, 8);
  expect(
    scheme.flatMap((one) =>
      [0, 2, 3, 4, 5, 7, 8, 12, 13, 20].map((reps) => {
        const owned = reps % 2 ? [1, 2, 5, 8] : [];
        const log = { id: 's', date: FIRST, ...GOOD, sets: [10, 6, 9, reps] };
        const growth = SCHOOL_RULES.adjustable.next({
          ...standing(exerciseOf('band-row'), one),
          sessions: [log],
          owned,
        });
        return asLine(
          formatDose(one),
          reps,
          fourthSet(one, log, owned),
          growth.kind === 'dose' ? formatDose(growth.dose) : growth.kind,
        );
      }),
    ),
  ).toMatchSnapshot();
});

it('schools side by side, and what is proposed within the minutes', () => {
  expect(
    drawnCases(plannedLines, 30, 31).map((lines) => {
      const [line] = lines;
      if (!line) return '';
      const compared = compareSchools(line.dose, line.exercise, HOURS, NO_SETTINGS).map(
        ({ id, line: written, measure }) => [id, written, measure],
      );
      return asLine(line.exercise.id, digest(compared), compared.length);
    }),
  ).toMatchSnapshot();
  const outlooks = drawnCases(plannedLines, 30, 37).map((lines) =>
    lines.map((line) =>
      outlookOf({
        lineage: line.lineage,
        ...factsFor(line.exercise, line.dose, {
          school: line.school,
          logs: Array.from({ length: 4 }, (_, day) => ({
            id: `s${day}`,
            date: addDays(FIRST, day),
            ...GOOD,
            hold: 60,
            sets: [20, 20, 20, 20],
          })),
        }),
      }),
    ),
  );
  expect(
    outlooks.map((rows) => {
      const proposals = rows.flatMap((row) => (row.kind === 'proposal' ? [row.proposal] : []));
      const weighed = [null, 5, 10, 60].map((minutes) =>
        weighProposals(proposals, minutes, (accepted) =>
          seconds(500 + accepted.reduce((sum, { key }) => sum + (key.length % 7) * 30 - 20, 0)),
        ),
      );
      return asLine(
        proposals.map(({ key }) => key),
        weighed,
      );
    }),
  ).toMatchSnapshot();
});
