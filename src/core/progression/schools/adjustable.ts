import type { SessionLog } from '../../course';
import { type Dose, type Load, isUntilFormFails } from '../../dose';
import {
  ADJUSTABLE_PERCENT,
  type AdjustedLoad,
  KILOGRAMS_A_POUND,
  fourthSetLoad,
  nextWorkingLoad,
  schemeLoads,
} from '../../load';
import { SCHOOLS } from '../../school';
import { ownedNear } from './heavier';
import { type Growth, READY, type SchoolRule, type Standing } from './school';
import { toTenth } from '../../units';

/** One weight, where any can be set: the least the table ever changes, pounds. */
const ONE_WEIGHT_LB = 5;
/** A weight that was left for a lighter one so often is not gone back to. Ours, no source. */
const LEFT_OFTEN = 2;

const middle = ({ least, most }: Pick<AdjustedLoad, 'least' | 'most'>) =>
  toTenth((least + most) / 2);

type Weight = Extract<Load, { kind: 'weight' }>;

/** What one session said: the load of the fourth set, and how often it was lifted. */
export type FourthSet = {
  readonly working: number;
  /** From the third set's count; what was noted as lifted goes before it. */
  readonly load: number;
  readonly reps: number;
};

/**
 * Reads a session by the whole table: the third set's count sets the fourth set's load, unless the
 * patient noted another.
 *
 * @returns null where the fourth set was not done, or not counted where it is done until form fails
 */
export function fourthSet(dose: Dose, log: SessionLog, owned: readonly number[]): FourthSet | null {
  const { load } = dose;
  if (load?.kind !== 'weight') return null;
  const count = (set: number) => {
    const told = log.counted?.find((one) => one.set === set);
    // Until form fails is what was counted; what a clock played on says nothing.
    const reps =
      told?.reps ?? (isUntilFormFails(dose.head, set - 1) ? null : (log.sets[set - 1] ?? null));
    return { reps, lifted: told?.load ? inUnit(told.load, load.unit) : null };
  };
  const [third, fourth] = [count(3), count(4)];
  const written = load.perSet[2];
  if (typeof written !== 'number' || fourth.reps === null) return null;
  const working = third.lifted ?? written;
  const adjusted =
    third.reps === null
      ? working
      : pick(fourthSetLoad(third.reps, working, load.unit), working, owned);
  return { working: written, load: fourth.lifted ?? adjusted, reps: fourth.reps };
}

function inUnit(
  { amount, unit }: { amount: number; unit: 'kg' | 'lb' },
  wanted: 'kg' | 'lb',
): number {
  if (unit === wanted) return amount;
  return toTenth(wanted === 'kg' ? amount * KILOGRAMS_A_POUND : amount / KILOGRAMS_A_POUND);
}

/**
 * A weight there is within the table's range, nearest to its middle; none within it: the heaviest
 * below. Never nothing: the lightest there is, or half of what it was.
 */
function pick(range: AdjustedLoad, from: number, owned: readonly number[]): number {
  const there = owned.filter((one) => one > 0);
  if (there.length === 0) return Math.max(middle(range), toTenth(from / 2));
  const within = there.filter((one) => one >= range.least - 1e-9 && one <= range.most + 1e-9);
  if (within.length > 0) return ownedNear(middle(range), within);
  const below = there.filter((one) => one < range.least);
  return below.length > 0 ? Math.max(...below) : Math.min(...there);
}

/** How far it is from a weight to the next one towards a goal. */
function oneWeight(
  from: number,
  goal: number,
  owned: readonly number[],
  unit: 'kg' | 'lb',
): number {
  const between = owned
    .filter((one) => (goal > from ? one > from + 1e-9 : one < from - 1e-9))
    .map((one) => Math.abs(one - from));
  if (owned.length > 0) return between.length > 0 ? Math.min(...between) : Infinity;
  return unit === 'lb' ? ONE_WEIGHT_LB : ONE_WEIGHT_LB * KILOGRAMS_A_POUND;
}

/** Half, three quarters and the whole of a working load, in weights there are; the fourth is set on the day. */
function withWorking(dose: Dose, load: Weight, working: number, owned: readonly number[]): Dose {
  const sets = schemeLoads(working, ADJUSTABLE_PERCENT).map((one) => ownedNear(one, owned));
  return { ...dose, load: { ...load, perSet: [...sets, 'adj'] } };
}

/** How often a weight, or a heavier one, was left for a lighter one. */
function timesLeft(past: readonly Dose[], weight: number): number {
  const working = past.map(({ load }) =>
    load?.kind === 'weight' && typeof load.perSet[2] === 'number' ? load.perSet[2] : null,
  );
  return working.filter((now, at) => {
    const before = working[at - 1];
    return before != null && now !== null && before <= weight + 1e-9 && now < before - 1e-9;
  }).length;
}

/** A weight between two, the nearest to their middle; null without one. */
function smaller(from: number, to: number, owned: readonly number[]): number | null {
  const half = toTenth((from + to) / 2);
  if (owned.length === 0) return half > from && half < to ? half : null;
  const between = owned.filter((one) => one > from + 1e-9 && one < to - 1e-9);
  return between.length === 0 ? null : ownedNear(half, between);
}

/** What the fourth set asks for. */
function next({ dose, sessions, owned, past }: Standing): Growth {
  const { load } = dose;
  const log = sessions.at(-1);
  if (load?.kind === 'percent')
    return {
      kind: 'ask',
      what: 'ten-rep maximum',
      why: 'The working load is a share of a ten-rep maximum that is not known yet.',
    };
  if (load?.kind !== 'weight' || !log)
    return { kind: 'stays', why: 'The fourth set decides; it has not been done with weights.' };
  const set = fourthSet(dose, log, owned);
  if (!set)
    return {
      kind: 'ask',
      what: 'repetitions',
      why: 'The fourth set decides, and was not counted.',
    };
  const { working } = set;
  const range = nextWorkingLoad(set.reps, set.load, load.unit);
  const { unit } = load;
  const say = `${set.reps} repetitions in the fourth set with ${set.load} ${unit}: the table asks for ${range.least === range.most ? range.least : `${range.least}–${range.most}`} ${unit}`;
  const goal = middle(range);
  const opposed = Math.sign(set.load - working) * Math.sign(goal - working) < 0;
  if (opposed && Math.abs(goal - working) < oneWeight(working, goal, owned, unit))
    return {
      kind: 'stays',
      why: `${say}, less than one weight from the ${working} ${unit} that the third set spoke against: it stays.`,
    };
  const to = pick(range, working, owned);
  if (Math.abs(to - working) < 1e-9)
    return {
      kind: 'stays',
      why:
        goal > working && range.least > working
          ? `${say}: it needs a weight of ${range.least}–${range.most} ${unit}; ${working} ${unit} stays.`
          : `${say}: ${working} ${unit} stays.`,
    };
  const left = to > working ? timesLeft(past, to) : 0;
  // It was too heavy before: only the whole range beyond it goes back to it, and only once.
  const tooHeavy = left >= LEFT_OFTEN || (left > 0 && range.least < to);
  const between = tooHeavy ? smaller(working, to, owned) : to;
  if (between === null || (tooHeavy && timesLeft(past, between) > 0))
    return {
      kind: 'stays',
      why: `${say}, but ${to} ${unit} was left for a lighter one ${left === 1 ? 'once' : `${left} times`}: ${working} ${unit} stays; it needs a weight between them.`,
    };
  if (tooHeavy)
    return {
      kind: 'dose',
      dose: withWorking(dose, load, between, owned),
      measure: 'load',
      why: `${say}; ${to} ${unit} was left for a lighter one before, so a smaller step: working load ${working} → ${between} ${unit}.`,
    };
  return {
    kind: 'dose',
    dose: withWorking(dose, load, to, owned),
    measure: 'load',
    why: `${say}: working load ${working} → ${to} ${unit}.`,
  };
}

/** Every session's fourth set decides about the next. */
export const ADJUSTABLE: SchoolRule = {
  ...SCHOOLS.adjustable,
  ready: () => READY,
  next,
  back: ['load', 'effort', 'days', 'times'],
};
