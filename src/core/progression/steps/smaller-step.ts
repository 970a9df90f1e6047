import { type Dose, holdOf } from '../../dose';
import { exactly, isExact, seconds } from '../../units';
import { topOf, withTop } from '../schools/heavier';
import type { GrownMeasure } from './frequency';
import { withHold } from './holds';

/** Less than this share more is a token step. Ours, no source. */
const TOKEN = 0.1;
/** From here on, seconds, holds end on fives. */
const ROUND_FROM = 15;

/**
 * A dose half way between the present one and a candidate, where there is one: a smaller step, after
 * the whole one was too much.
 *
 * @param owned weights there are; empty where any can be set
 * @returns null where nothing lies between
 * @example smallerStep(parse('x10 hold 5s'), parse('x10 hold 10s'), 'hold', []) // x10 hold 7s
 */
export function smallerStep(
  present: Dose,
  candidate: Dose,
  measure: GrownMeasure,
  owned: readonly number[],
): Dose | null {
  switch (measure) {
    case 'hold':
      return shorter(present, candidate);
    case 'load':
      return lighter(present, candidate, owned);
    case 'volume':
      return fewer(present, candidate);
    case 'stations':
    case 'band':
    case 'effort':
    case 'times':
    case 'days':
      return null;
  }
}

function shorter(present: Dose, candidate: Dose): Dose | null {
  const [from, to] = [holdOf(present), holdOf(candidate)];
  if (!from || !to) return null;
  const [low, high] = isExact(to) ? [from.most, to.most] : [from.least, to.least];
  const half = (low + high) / 2;
  const middle = half >= ROUND_FROM ? Math.round(half / 5) * 5 : Math.floor(half);
  const least = Math.max(1, low * TOKEN);
  if (middle < low + least || middle >= high) return null;
  return withHold(
    candidate,
    isExact(to) ? exactly(seconds(middle)) : { least: seconds(middle), most: to.most },
  );
}

function lighter(present: Dose, candidate: Dose, owned: readonly number[]): Dose | null {
  const [from, to] = [present.load, candidate.load];
  if (from?.kind !== 'weight' || to?.kind !== 'weight' || from.unit !== to.unit) return null;
  const [low, high] = [topOf(from), topOf(to)];
  const between =
    owned.length > 0
      ? owned.filter((one) => one > low + 1e-9 && one < high - 1e-9)
      : [Math.round(((low + high) / 2) * 10) / 10].filter((one) => one > low && one < high);
  const [first] = between.sort((a, b) => a - b);
  return first === undefined ? null : withTop(candidate, to, first, owned);
}

function fewer(present: Dose, candidate: Dose): Dose | null {
  const [from, to] = [present.head, candidate.head];
  if (from.kind !== 'sets' || to.kind !== 'sets' || from.sets.most !== to.sets.most) return null;
  const middle = Math.floor((from.reps.most + to.reps.most) / 2);
  return middle > from.reps.most && middle < to.reps.most
    ? {
        ...candidate,
        head: { ...to, reps: { least: Math.min(to.reps.least, middle), most: middle } },
      }
    : null;
}
