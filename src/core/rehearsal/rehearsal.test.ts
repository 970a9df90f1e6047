import { NO_SETTINGS, SCHOOLS, beyondBounds, schoolsFor, startDose } from '../school';
import { randomLcg, randomNormal } from 'd3';
import fc from 'fast-check';
import { EXERCISES } from '@/catalogue';
import { nextRungIn } from '../choose';
import { parseDose, doseOf } from '../dose';
import type { SchoolId } from '../exercise';
import { asLine } from '../../../tests/support/worked';
import { PATIENTS, REHEARSED_KINDS, type RehearsalFacts, rehearse } from '.';

const chanceOf = (seed: number) => {
  const source = randomLcg(seed);
  return { fraction: source, normal: randomNormal.source(source)(0, 1) };
};
function facts(id: SchoolId, exerciseId: string, dose: string): RehearsalFacts {
  const exercise = EXERCISES.find((one) => one.id === exerciseId);
  if (!exercise) throw new Error(exerciseId);
  return {
    exercise,
    dose: doseOf(dose),
    school: { id, settings: NO_SETTINGS },
    nextRung: nextRungIn(EXERCISES),
  };
}

describe('rehearsing a school', () => {
  const lengthen = facts('lengthen', 'tuck-lighten', 'x10 hold 3s gap 3s daily');

  it('gives the same course for the same seed, and another for another', () => {
    expect(rehearse(lengthen, 'average', 8, chanceOf(0.2))).toEqual(
      rehearse(lengthen, 'average', 8, chanceOf(0.2)),
    );
    expect(rehearse(lengthen, 'average', 8, chanceOf(0.2))).not.toEqual(
      rehearse(lengthen, 'average', 8, chanceOf(0.7)),
    );
  });

  it('takes the quick further than the patchy in twelve weeks', () => {
    const grown = (kind: 'quick' | 'patchy') =>
      rehearse(lengthen, kind, 12, chanceOf(0.4)).moves.filter(({ move }) =>
        move.startsWith('advance'),
      ).length;
    expect(grown('quick')).toBeGreaterThan(0);
    expect(grown('quick')).toBeGreaterThanOrEqual(grown('patchy'));
  });

  it('eases off more for the sore than for the quick', () => {
    const eased = (kind: 'quick' | 'sore') =>
      [0.1, 0.3, 0.5, 0.7, 0.9]
        .flatMap((seed) => rehearse(lengthen, kind, 12, chanceOf(seed)).moves)
        .filter(({ move }) => move === 'step back' || move === 'rest day').length;
    expect(eased('sore')).toBeGreaterThan(eased('quick'));
  });

  it('counts every week, done or not', () => {
    const { weeks } = rehearse(lengthen, 'patchy', 12, chanceOf(0.4));
    expect(weeks.map(({ week }) => week)).toEqual(Array.from({ length: 12 }, (_, i) => i + 1));
    for (const { sessions } of weeks) expect(sessions).toBeLessThanOrEqual(7);
  });

  it('never leaves a school’s limits, and every dose on the way can be read', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...EXERCISES),
        fc.nat(),
        fc.constantFrom(...REHEARSED_KINDS),
        (exercise, pick, kind) => {
          const ids = schoolsFor(exercise);
          const id = ids[pick % Math.max(1, ids.length)];
          if (!id) return;
          const dose = startDose(id, exercise, NO_SETTINGS);
          const course = rehearse(
            { exercise, dose, school: { id, settings: NO_SETTINGS }, nextRung: () => null },
            kind,
            12,
            chanceOf((pick % 97) / 97),
          );
          for (const week of course.weeks) {
            const parsed = parseDose(week.dose);
            if (!parsed.ok) throw new Error(week.dose);
            expect(beyondBounds(SCHOOLS[id], parsed.value)).toBeNull();
          }
        },
      ),
      { numRuns: 60 },
    );
  });
});

it('the made-up patients are these', () => {
  expect(Object.entries(PATIENTS).map(([kind, one]) => asLine(kind, one))).toMatchSnapshot();
});
