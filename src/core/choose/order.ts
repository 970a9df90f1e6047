import type { Exercise } from '../exercise';

/**
 * Where an exercise belongs in a session: warm-up first, easy before hard, the hardest front-of-neck
 * late, the blade pull near the end, a passive opening to close. Lying face down is no closing rest: it
 * is the first of the low back's stages. Common practice, no source.
 */
const FIRST = ['easy-walk', 'neck-warm-up', 'shoulder-rolls', 'head-rolls', 'sit-tall'];
const HARD_FRONT = ['tuck-lift', 'lift-over-ball', 'chin-held-ball', 'tuck-bench-edge'];
/** Lain, and the first of stages that are moved. */
const OPENS_STAGES = ['face-down-lying', 'forearm-prop'];
/** Lain, with drills on the same support that come after it. */
const WEDGE_DRILLS = ['wedge-press', 'wedge-look-over'];
const BLADE_PULL = ['band-pull', 'band-row'];

export function sessionPlace({ id, mode, rung }: Exercise): number {
  if (FIRST.includes(id)) return FIRST.indexOf(id);
  if (id === 'chin-held-ball') return 300;
  if (HARD_FRONT.includes(id)) return 200 + HARD_FRONT.indexOf(id);
  if (BLADE_PULL.includes(id)) return 400;
  if (mode === 'lain' && !OPENS_STAGES.includes(id)) return 500;
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
    // Lying on the wedge comes before the drills on it.
    const drilled =
      exercise.id === 'wedge-lying' && after.some(({ id }) => WEDGE_DRILLS.includes(id));
    if (own === 500 && !drilled && after.some((other) => sessionPlace(other) < 500))
      return [{ exercise, say: `${exercise.name} opens passively: it closes a session.` }];
    return [];
  });
}

/** One line as it was moved, with why; `from` and `to` are places from 1. */
export type OrderMove = {
  readonly exercise: Exercise;
  readonly from: number;
  readonly to: number;
  readonly say: string;
};

function reasonOf(exercise: Exercise): string {
  const place = sessionPlace(exercise);
  if (place < 100) return 'a warm-up comes first';
  if (exercise.id === 'wedge-lying') return 'lying on the wedge comes before the drills on it';
  if (place >= 200 && place <= 300) return 'the hardest at the front of the neck comes late';
  if (place === 400) return 'the blade pull comes near the end';
  return 'a passive opening closes the session';
}

/**
 * What putting lines into the trade's order has moved, with the reason of each. Lines that only made
 * room for others are not told of.
 *
 * @param before the lines as they stood; the same objects stand in `after`
 */
export function orderMoves<T>(
  before: readonly T[],
  after: readonly T[],
  exerciseOf: (line: T) => Exercise | null,
): OrderMove[] {
  return after.flatMap((line, at): OrderMove[] => {
    const exercise = exerciseOf(line);
    const from = before.indexOf(line);
    if (!exercise || from === at) return [];
    const place = sessionPlace(exercise);
    return place >= 100 && place < 200
      ? []
      : [{ exercise, from: from + 1, to: at + 1, say: reasonOf(exercise) }];
  });
}

/** Where a new line goes: a warm-up behind those that stand first already, everything else last. */
export function placeForNew(exercise: Exercise, lines: readonly (Exercise | null)[]): number {
  if (!isWarmUp(exercise)) return lines.length;
  const first = lines.findIndex((one) => one === null || !isWarmUp(one));
  return first === -1 ? lines.length : first;
}

const isWarmUp = (exercise: Exercise) => sessionPlace(exercise) < 100;

/**
 * The order the trade would put them in; equals keep their order, and lying on the wedge stays before
 * the drills on it.
 */
export function inSessionOrder<T>(
  lines: readonly T[],
  exerciseOf: (line: T) => Exercise | null,
): T[] {
  const ids = lines.map((line) => exerciseOf(line)?.id);
  const drilled = WEDGE_DRILLS.some((id) => ids.includes(id));
  const placeOf = (line: T) => {
    const exercise = exerciseOf(line);
    if (!exercise) return 150;
    if (drilled && exercise.id === 'wedge-lying') return 100;
    return sessionPlace(exercise);
  };
  const ordered = lines
    .map((line, index) => ({ line, index, place: placeOf(line) }))
    .map((one) => ({ ...one, place: one.place >= 100 && one.place < 200 ? 100 : one.place }))
    .sort((a, b) => a.place - b.place || a.index - b.index)
    .map(({ line }) => line);
  return drilled ? wedgeFirst(ordered, exerciseOf) : ordered;
}

/** Lying on the wedge just before the first drill on it, wherever it was written. */
function wedgeFirst<T>(lines: readonly T[], exerciseOf: (line: T) => Exercise | null): T[] {
  const isLying = (line: T) => exerciseOf(line)?.id === 'wedge-lying';
  const lying = lines.filter(isLying);
  const others = lines.filter((line) => !isLying(line));
  const drill = others.findIndex((line) => WEDGE_DRILLS.includes(exerciseOf(line)?.id ?? ''));
  return [...others.slice(0, drill), ...lying, ...others.slice(drill)];
}
