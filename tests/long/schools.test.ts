import { NO_SETTINGS, SCHOOLS, schoolsFor, startDose } from '@/core/school';
import { randomLcg, randomNormal } from 'd3';
import { EXERCISES } from '@/catalogue';
import { nextRungIn, previousRungIn } from '@/core/choose';
import { parseDose } from '@/core/dose';
import { PATIENT_KINDS, rehearse } from '@/core/rehearsal';

/**
 * Twelve weeks of every made-up patient with every school of every exercise that the school can
 * read. `npm test` takes a thousand of them through their twelve weeks.
 */
const WEEKS = 12;
const SEEDS = [0.11, 0.42, 0.87];

const chanceOf = (seed: number) => {
  const source = randomLcg(seed);
  return { fraction: source, normal: randomNormal.source(source)(0, 1) };
};

const pairs = EXERCISES.flatMap((exercise) =>
  schoolsFor(exercise).map((id) => [exercise.id, id, exercise] as const),
);

it('every school is tried', () => {
  expect(new Set(pairs.map(([, id]) => id))).toEqual(new Set(Object.keys(SCHOOLS)));
});

it.each(pairs)('%s with %s stays within the school, and readable', (_, id, exercise) => {
  const dose = startDose(id, exercise, NO_SETTINGS);
  for (const kind of PATIENT_KINDS)
    for (const seed of SEEDS) {
      const facts = {
        exercise,
        dose,
        school: { id, settings: NO_SETTINGS },
        nextRung: nextRungIn(EXERCISES),
        previousRung: previousRungIn(EXERCISES),
      };
      const { weeks } = rehearse(facts, kind, WEEKS, chanceOf(seed));
      expect(weeks).toHaveLength(WEEKS);
      for (const week of weeks) {
        expect(week.sessions).toBeLessThanOrEqual(7);
        const parsed = parseDose(week.dose);
        if (!parsed.ok) throw new Error(`${week.dose}: ${parsed.say}`);
      }
    }
});
