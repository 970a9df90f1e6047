import type { Exercise } from '../exercise';

/**
 * Where an exercise belongs in a session: warm-up first, easy before hard, the hardest front-of-neck
 * late, the blade pull near the end, a passive opening to close. Common practice, no source.
 */
const FIRST = ['easy-walk', 'neck-warm-up', 'shoulder-rolls', 'head-rolls', 'sit-tall'];
const HARD_FRONT = ['tuck-lift', 'lift-over-ball', 'chin-held-ball', 'tuck-bench-edge'];
const BLADE_PULL = ['band-pull', 'band-row'];

export function sessionPlace({ id, mode, rung }: Exercise): number {
  if (FIRST.includes(id)) return FIRST.indexOf(id);
  if (id === 'chin-held-ball') return 300;
  if (HARD_FRONT.includes(id)) return 200 + HARD_FRONT.indexOf(id);
  if (BLADE_PULL.includes(id)) return 400;
  if (mode === 'lain') return 500;
  return 100 + rung;
}

export type OrderHint = { readonly exercise: Exercise; readonly say: string };

/** Lines that stand where the trade would not put them, each with where it would. */
export function orderHints(exercises: readonly Exercise[]): OrderHint[] {
  return exercises.flatMap((exercise, place): OrderHint[] => {
    const before = exercises.slice(0, place);
    const after = exercises.slice(place + 1);
    const own = sessionPlace(exercise);
    if (own < 100 && before.some((other) => sessionPlace(other) >= 100))
      return [{ exercise, say: `${exercise.name} is a warm-up: it belongs first.` }];
    if (own >= 200 && own <= 300 && after.some((other) => sessionPlace(other) < 200))
      return [
        {
          exercise,
          say: `${exercise.name} is the hardest at the front of the neck: late in the session.`,
        },
      ];
    if (own === 500 && after.some((other) => sessionPlace(other) < 500))
      return [{ exercise, say: `${exercise.name} opens passively: it closes a session.` }];
    return [];
  });
}

/** The order the trade would put them in; equals keep their order. */
export function inSessionOrder<T>(
  lines: readonly T[],
  exerciseOf: (line: T) => Exercise | null,
): T[] {
  const placeOf = (line: T) => {
    const exercise = exerciseOf(line);
    return exercise ? sessionPlace(exercise) : 150;
  };
  return lines
    .map((line, index) => ({ line, index, place: placeOf(line) }))
    .map((one) => ({ ...one, place: one.place >= 100 && one.place < 200 ? 100 : one.place }))
    .sort((a, b) => a.place - b.place || a.index - b.index)
    .map(({ line }) => line);
}
