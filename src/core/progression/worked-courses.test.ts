import { NO_SETTINGS, SCHOOLS } from '../school';
import fc from 'fast-check';
import { PLACES, course } from '../../../tests/support/course-cases';
import { factsFor } from '../../../tests/support/step-cases';
import { asLine, digest, drawnCases } from '../../../tests/support/worked';
import { type Course, happeningsIn, livedIn, presentOf } from '../course';
import { formatDose } from '../dose';
import type { SchoolId } from '../exercise';
import { addDays } from '../units';
import { nextStep } from '.';

const SCHOOL_IDS = Object.keys(SCHOOLS) as SchoolId[];

/** What a clinician may have said before: nothing, that the newest trouble is seen, that growth waits. */
const DECIDED = ['nothing', 'nothing', 'the newest', 'all', 'no growth'] as const;

function decidedOn(one: Course, what: (typeof DECIDED)[number]) {
  const events = happeningsIn(one).map(({ event }) => event);
  const last = livedIn(one).at(-1)?.log.date ?? null;
  return {
    events: new Set(what === 'all' ? events : what === 'the newest' ? events.slice(-1) : []),
    declinedOn: what === 'no growth' ? last : null,
    askedOn: null,
  };
}

it('the next step of a course that grew, was taken back, and went on', () => {
  const cases = drawnCases(
    fc.record({
      of: course,
      school: fc.constantFrom(null, ...SCHOOL_IDS),
      what: fc.constantFrom(...DECIDED),
      later: fc.constantFrom(0, 1, 1, 13, 14, 43),
      goodSessions: fc.constantFrom(2, 3),
      owned: fc.constantFrom<readonly number[]>([], [1, 2, 4]),
    }),
    700,
    81,
  );
  expect(
    cases.map(({ of, school, what, later, goodSessions, owned }) => {
      const present = presentOf(of);
      const place = PLACES.findIndex(({ id }) => id === present.exercise.id);
      const exercise = PLACES[place];
      if (!exercise) throw new Error('no such step');
      const last = livedIn(of).at(-1)?.log.date ?? present.from;
      const given = factsFor(exercise, present.dose, {
        school: school && { id: school, settings: NO_SETTINGS },
        above: place === 0 ? (PLACES[1] ?? null) : null,
        below: place === 1 ? (PLACES[0] ?? null) : null,
        goodSessions,
        owned,
        today: addDays(last, later),
        decided: decidedOn(of, what),
      });
      const {
        move,
        dose,
        exercise: other,
        why,
        event,
        choices,
        asks,
      } = nextStep({
        ...given,
        course: of,
      });
      return asLine(
        school ?? '',
        formatDose(present.dose),
        move,
        dose && formatDose(dose),
        other?.id ?? '',
        why,
        digest([event, choices, asks]),
      );
    }),
  ).toMatchSnapshot();
});
