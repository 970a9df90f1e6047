import { startDose } from '../school';
import { randomLcg, randomNormal } from 'd3';
import { EXERCISES } from '@/catalogue';
import { choicesFor } from '../../../tests/support/programme-cases';
import { asLine, digest, rounded } from '../../../tests/support/worked';
import { nextRungIn } from '../choose';
import type { Chance } from '../statistics';
import { HARDER, type HarderKind, REHEARSED_KINDS, rehearse, rehearseWhole } from '.';

const seen = new Set<string>();
const chosen = EXERCISES.flatMap((exercise) =>
  choicesFor(exercise)
    .filter((_, i) => i % 2 === 0)
    .map((school) => ({ exercise, school })),
).filter(({ school }) => !seen.has(school.id) && seen.add(school.id));

function chanceOf(seed: number): Chance {
  const fraction = randomLcg(seed);
  return { fraction, normal: randomNormal.source(fraction)(0, 1) };
}

it('courses of every school with every made-up patient', () => {
  expect(
    chosen.flatMap(({ exercise, school }, i) =>
      REHEARSED_KINDS.map((kind, j) => {
        const chance = chanceOf((i * 4 + j + 1) / 60);
        const { weeks, moves, stalls } = rehearse(
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
          stalls === null ? 'grows' : `stalls: ${stalls}`,
        );
      }),
    ),
  ).toMatchSnapshot();
});

/** What the harder ones do and tell, session by session. */
it('sessions of the harder made-up patients', () => {
  expect(
    chosen.flatMap(({ exercise, school }, i) =>
      (Object.keys(HARDER) as HarderKind[]).map((kind, j) => {
        const { days } = rehearseWhole(
          {
            exercise,
            dose: startDose(school.id, exercise, school.settings),
            school,
            nextRung: nextRungIn(EXERCISES),
          },
          kind,
          6,
          chanceOf((i * 6 + j + 1) / 90),
        );
        const logs = (days.at(-1)?.course ?? []).flatMap(({ sessions }) => sessions);
        const pains = logs.map(({ pain }) => pain ?? '–').join(' ');
        return asLine(exercise.id, school.id, kind, pains, digest(rounded(logs)));
      }),
    ),
  ).toMatchSnapshot();
});
