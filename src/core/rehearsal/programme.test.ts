import { NO_SETTINGS } from '../school';
import { randomLcg, randomNormal } from 'd3';
import { EXERCISES, SHIPPED } from '@/catalogue';
import { READY_PROGRAMMES } from '@/catalogue/programmes';
import { nextRungIn, previousRungIn } from '../choose';
import { parseDose } from '../dose';
import { readyTotals } from '../ready';
import { FIRST } from './rehearse';
import { type TriedLine, rehearse, rehearseProgramme } from '.';

/** A whole programme run forward: by the function of its single lines, from its own first day. */
const rules = {
  nextRung: nextRungIn(EXERCISES),
  previousRung: previousRungIn(EXERCISES),
  owned: [],
};
const chanceOf = (line: number) => {
  const source = randomLcg(0.3 + line / 10);
  return { fraction: source, normal: randomNormal.source(source)(0, 1) };
};
const linesOf = (id: string): { lines: TriedLine[]; rounds: number } => {
  const ready = READY_PROGRAMMES.find((one) => one.id === id);
  if (!ready) throw new Error(id);
  return {
    rounds: ready.rounds,
    lines: ready.lines.map(({ exerciseId, dose, school }) => {
      const [exercise, read] = [SHIPPED.byId(exerciseId), parseDose(dose)];
      if (!exercise || !read.ok) throw new Error(exerciseId);
      return {
        exercise,
        dose: read.value,
        school: school === null ? null : { id: school, settings: NO_SETTINGS },
      };
    }),
  };
};

it('begins with what the ready programme says of itself', () => {
  for (const ready of READY_PROGRAMMES.slice(0, 6)) {
    const [first] = rehearseProgramme(linesOf(ready.id), rules, 'average', 1, chanceOf).weeks;
    expect([ready.id, first?.asks]).toEqual([ready.id, readyTotals(ready, SHIPPED.byId, FIRST)]);
  }
});

it('ends each line where the line alone ends', () => {
  const programme = linesOf('first-week');
  const whole = rehearseProgramme(programme, rules, 'quick', 6, chanceOf);
  programme.lines.forEach(({ exercise, dose, school }, at) => {
    const came = whole.lines[at];
    if (school === null) {
      expect(came).toMatchObject({ to: came?.from, toExercise: exercise.name, grew: 0, eased: 0 });
      return;
    }
    const alone = rehearse({ ...rules, exercise, dose, school }, 'quick', 6, chanceOf(at));
    expect(came?.to).toBe(alone.weeks.at(-1)?.dose);
    expect(came?.toExercise).toBe(alone.weeks.at(-1)?.exercise);
  });
  expect(whole.lines.some(({ grew }) => grew > 0)).toBe(true);
  expect(whole.weeks).toHaveLength(7);
});
