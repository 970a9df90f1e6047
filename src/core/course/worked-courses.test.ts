import fc from 'fast-check';
import { DOSES, PLACES, course, good, log } from '../../../tests/support/course-cases';
import { FIRST } from '../../../tests/support/programme-cases';
import { asLine, digest, drawnCases } from '../../../tests/support/worked';
import { formatDose, doseOf } from '../dose';
import { addDays, daysBetween } from '../units';
import {
  BREAK_DAYS,
  type Course,
  type Happening,
  type SessionLog,
  type Stretch,
  evidenceOf,
  goOn,
  happeningsIn,
  hasPassed,
  isAmiss,
  isOverdone,
  lightOf,
  livedIn,
  onExerciseSince,
  rememberedAt,
  silentSince,
  whyNotGood,
  withSessions,
  worthOf,
} from '.';

const day = (date: string | null) => (date === null ? null : daysBetween(FIRST, date as never));
const short = ({ kind, event, date, say, stands, stretch }: Happening, all: Course) =>
  asLine(kind, event, day(date), say, stands, all.indexOf(stretch));
const told = ({ stretch, log: one }: { stretch: Stretch; log: SessionLog }) =>
  `${day(one.date)} ${one.share} ${one.effort} ${one.pain} ${one.nextMorning} ${one.skipped} ${one.stopped} ${formatDose(stretch.dose)}`;

it('what went wrong in a course, and what of it has passed', () => {
  expect(
    drawnCases(course, 160, 71).map((one) => {
      const found = happeningsIn(one);
      return asLine(
        digest(livedIn(one).map(told)),
        found.map((happening) => short(happening, one)).join('; '),
        [1, 2, 3, 5].map((needed) =>
          found.map(({ date }) => Number(hasPassed(one, date, needed))).join(''),
        ),
      );
    }),
  ).toMatchSnapshot();
});

it('what can be built on, and since when nothing was told', () => {
  expect(
    drawnCases(course, 160, 72).map((one) => {
      const last = livedIn(one).at(-1)?.log.date ?? FIRST;
      return asLine(
        digest(livedIn(one).map(told)),
        [null, addDays(last, -1), addDays(last, -BREAK_DAYS), last].map((after) => {
          const { days, since, ...rest } = evidenceOf(one, after);
          return [rest, day(since), digest(days)];
        }),
        [0, 13, 14].flatMap((later) =>
          [null, addDays(last, -3), last].map((asked) =>
            day(silentSince(one, addDays(last, later), asked)),
          ),
        ),
        day(onExerciseSince(one)),
      );
    }),
  ).toMatchSnapshot();
});

it('what a course remembers against a dose', () => {
  // Flares at one dose that was grown to, and good days of a number that meets the fortnight.
  const flared: fc.Arbitrary<Course> = fc
    .tuple(
      fc.constantFrom(...DOSES),
      fc.constantFrom(...DOSES),
      fc.array(fc.constantFrom<Partial<SessionLog>>({ nextMorning: 'flare' }, { pain: 6 }, {}), {
        minLength: 1,
        maxLength: 4,
      }),
      fc.constantFrom(0, 1, 9, 10, 11),
      fc.constantFrom(...PLACES),
      fc.constantFrom('a clinician' as const, 'a proposal' as const),
    )
    .map(([before, at, troubles, goodDays, exercise, by]) => {
      const made = (count: number, first: number, change: readonly Partial<SessionLog>[] = []) =>
        Array.from({ length: count }, (_, i): SessionLog => ({
          id: `s${first + i}`,
          date: addDays(FIRST, first + i),
          sets: [10],
          hold: null,
          share: 1,
          effort: 4,
          pain: 1,
          nextMorning: 'none',
          skipped: null,
          stopped: 'no',
          ...change[i],
        }));
      const stretch = (
        dose: Stretch['dose'],
        from: number,
        sessions: readonly SessionLog[],
        wrote: Stretch['by'],
        place = PLACES[0] as Stretch['exercise'],
      ): Stretch => ({
        exercise: place,
        dose,
        school: null,
        from: addDays(FIRST, from),
        by: wrote,
        sessions,
      });
      return [
        stretch(before, 0, made(2, 0), 'a clinician'),
        stretch(at, 3, made(troubles.length, 3, troubles), 'a proposal', exercise),
        stretch(before, 8, made(3, 8), by),
        stretch(at, 12, made(goodDays, 12), by, exercise),
        stretch(before, 30, [], by),
      ];
    });
  expect(
    drawnCases(flared, 120, 73).map((one) => {
      const found = happeningsIn(one);
      return asLine(
        one.map(({ dose, by, exercise, sessions }) =>
          [formatDose(dose), by, exercise.id, sessions.length].join(' '),
        ),
        found.map(({ kind, date }) => `${kind} ${day(date)}`),
        digest(
          PLACES.flatMap((exercise) =>
            DOSES.flatMap((dose) =>
              [3, 44, 45, 48, 87, 90].flatMap((today) =>
                [null, addDays(FIRST, 3), addDays(FIRST, 4)].map((improvedOn) => {
                  const { failures, until, triedFrom } = rememberedAt(
                    one,
                    found,
                    { exercise, dose },
                    addDays(FIRST, today),
                    improvedOn,
                  );
                  return [failures.length, until, triedFrom && formatDose(triedFrom)];
                }),
              ),
            ),
          ),
        ),
      );
    }),
  ).toMatchSnapshot();
});

it('what one session is worth, and what speaks against it', () => {
  expect(
    drawnCases(log, 200, 74).flatMap((one) =>
      DOSES.slice(0, 2).map((dose) =>
        asLine(
          told({ stretch: { dose } as Stretch, log: one }),
          worthOf(one, dose),
          whyNotGood(one, dose),
          isAmiss(one),
          isOverdone(one, dose),
          one.pain === null ? null : lightOf(one.pain),
        ),
      ),
    ),
  ).toMatchSnapshot();
  expect(
    ['x8-10', '10x5-10s', 'x10'].map((text) =>
      [1.24, 1.25, 1.26, 1.56, 1.57, 2.5, 2.51].map((share) => isOverdone({ share }, doseOf(text))),
    ),
  ).toMatchSnapshot();
});

it('goes on with another dose, and with more sessions', () => {
  const [one] = drawnCases(course, 1, 75);
  if (!one) throw new Error('no course');
  const next = { ...one[0], dose: DOSES[1] as Stretch['dose'] };
  const longer = goOn(one, next);
  expect(longer.length).toBe(one.length + 1);
  expect(longer.at(-1)?.sessions).toEqual([]);
  const [given] = drawnCases(good, 1, 76);
  const lived = withSessions(longer, given ? [given] : []);
  expect(lived.length).toBe(longer.length);
  expect(lived.at(-1)?.sessions).toHaveLength(1);
  expect(lived[0]).toBe(longer[0]);
});
