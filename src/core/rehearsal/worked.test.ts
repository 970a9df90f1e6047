import { startDose } from '../school';
import { randomLcg, randomNormal } from 'd3';
import { EXERCISES } from '@/catalogue';
import { choicesFor } from '../../../tests/support/programme-cases';
import { asLine, digest, rounded } from '../../../tests/support/worked';
import { nextRungIn } from '../choose';
import { REHEARSED_KINDS, rehearse } from '.';

it('courses of every school with every made-up patient', () => {
  const seen = new Set<string>();
  const chosen = EXERCISES.flatMap((exercise) =>
    choicesFor(exercise)
      .filter((_, i) => i % 2 === 0)
      .map((school) => ({ exercise, school })),
  ).filter(({ school }) => !seen.has(school.id) && seen.add(school.id));
  expect(
    chosen.flatMap(({ exercise, school }, i) =>
      REHEARSED_KINDS.map((kind, j) => {
        const fraction = randomLcg((i * 4 + j + 1) / 60);
        const chance = { fraction, normal: randomNormal.source(fraction)(0, 1) };
        const { weeks, moves } = rehearse(
          {
            exercise,
            dose: startDose(school.id, exercise, school.settings),
            school,
            nextRung: nextRungIn(EXERCISES),
            ...(i % 2 ? { goodSessions: 2 } : {}),
          },
          kind,
          8,
          chance,
        );
        return asLine(
          exercise.id,
          school.id,
          kind,
          rounded(weeks.at(-1)),
          digest(rounded(weeks)),
          moves.map(({ day, move }) => `${day} ${move}`).join('; '),
        );
      }),
    ),
  ).toMatchSnapshot();
});
