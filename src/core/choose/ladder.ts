import type { Exercise } from '../exercise';
import type { Circumstances } from './circumstances';
import { closedBecause } from './suggest';

/** The steps of an exercise's ladder, easiest first; none where it is a step of none. */
export function ladderOf(
  catalogue: readonly Exercise[],
  { ladder }: Exercise,
): readonly Exercise[] {
  if (ladder === null) return [];
  const ladders = laddersOf.get(catalogue) ?? new Map<string, readonly Exercise[]>();
  laddersOf.set(catalogue, ladders);
  const known = ladders.get(ladder);
  if (known) return known;
  const steps = catalogue.filter((one) => one.ladder === ladder).sort((a, b) => a.rung - b.rung);
  ladders.set(ladder, steps);
  return steps;
}

/** The ladders of a catalogue are looked for again and again: each is put in order once. */
const laddersOf = new WeakMap<readonly Exercise[], Map<string, readonly Exercise[]>>();

const isOpenTo = (circumstances?: Circumstances) => (exercise: Exercise) =>
  circumstances === undefined || closedBecause(exercise, circumstances).length === 0;

/**
 * The next harder step of an exercise's ladder that is open to this patient; null without one. What
 * merely stands in the same family is no step.
 *
 * @example nextRungIn(EXERCISES)(clothRotation) // null, and not head rolls
 */
export function nextRungIn(catalogue: readonly Exercise[], circumstances?: Circumstances) {
  return (exercise: Exercise): Exercise | null => {
    const steps = ladderOf(catalogue, exercise);
    const above = steps.slice(steps.findIndex(({ id }) => id === exercise.id) + 1);
    return above.find(isOpenTo(circumstances)) ?? null;
  };
}

/** The nearest easier step of its ladder that is open to this patient; null without one. */
export function previousRungIn(catalogue: readonly Exercise[], circumstances?: Circumstances) {
  return (exercise: Exercise): Exercise | null => {
    const steps = ladderOf(catalogue, exercise);
    const place = steps.findIndex(({ id }) => id === exercise.id);
    return steps.slice(0, Math.max(0, place)).findLast(isOpenTo(circumstances)) ?? null;
  };
}
