import type { SessionLog } from '../../course';
import { type Dose, type Load } from '../../dose';
import {
  ASCENDING_PERCENT,
  DESCENDING_PERCENT,
  REAL_STEP,
  schemeLoads,
  tenRepMaximum,
} from '../../load';
import { SCHOOLS } from '../../school';
import { ownedNear, topOf } from './heavier';
import { everySetDone } from './held';
import { type Growth, type Readiness, type SchoolRule, type Standing, notYet } from './school';

/** Repetitions asked at the whole of the ten-rep maximum. */
const TEN = 10;
/** Repetitions beyond these predict too roughly. Common practice, no source. */
const MOST_REPS = 15;

/** The place of the heaviest set, from 0. */
function topPlace({ perSet }: Load): number {
  const loads = perSet.map((one) => (one === 'adj' ? 0 : one));
  return loads.indexOf(Math.max(...loads));
}

/** The repetitions of the heaviest set: as counted, else as played. */
function topReps({ load }: Dose, { counted, sets }: SessionLog): number | null {
  if (!load) return null;
  const at = topPlace(load);
  return counted?.find(({ set }) => set === at + 1)?.reps ?? sets[at] ?? null;
}

/** Every set done, and ten at the top one; where no load is written no set is the heaviest. */
function tenAtTheTop(dose: Dose, log: SessionLog): Readiness {
  const sets = everySetDone(dose, log);
  if (!sets.ready || !dose.load) return sets;
  const reps = topReps(dose, log);
  return reps !== null && reps >= TEN ? sets : notYet(`${reps ?? 0} of ${TEN} in the heaviest set`);
}

/**
 * Repetitions that could have been done: those that were, with those left in reserve. An effort of
 * 7 of 10 leaves three, by perceived effort as repetitions in reserve (Zourdos 2016; memory).
 *
 * @param effort 0–10; null when not told: nothing is added
 * @example repsInAll(10, 7) // 13
 */
export function repsInAll(reps: number, effort: number | null): number {
  return Math.min(MOST_REPS, reps + (effort === null ? 0 : Math.max(0, Math.round(10 - effort))));
}

/** The ten-rep maximum estimated anew from the row: the poorest of its sessions decides. */
function estimated(dose: Dose, load: Load, sessions: readonly SessionLog[]) {
  if (load.kind !== 'weight') return null;
  const top = topOf(load);
  const reps = Math.min(...sessions.map((log) => repsInAll(topReps(dose, log) ?? 0, log.effort)));
  return Number.isFinite(reps) && reps >= TEN
    ? { top, reps, maximum: tenRepMaximum(top, reps).most }
    : null;
}

/** The maximum predicted from what was lifted and counted in the heaviest set, where the line writes percents. */
function lifted(dose: Dose, sessions: readonly SessionLog[]) {
  const { load } = dose;
  if (!load) return null;
  const at = topPlace(load) + 1;
  const told = sessions
    .flatMap(({ counted }) => counted ?? [])
    .filter((one) => one.set === at && one.reps !== null && one.load !== null)
    .at(-1);
  return told?.load && told.reps
    ? { ...told.load, reps: told.reps, maximum: tenRepMaximum(told.load.amount, told.reps).least }
    : null;
}

function nextOf(percents: readonly number[]) {
  return ({ dose, sessions, owned }: Standing): Growth => {
    const { load } = dose;
    if (!load)
      return {
        kind: 'ask',
        what: 'ten-rep maximum',
        why: 'No load is written: the ten-rep maximum is asked for.',
      };
    const scheme = (top: number, unit: 'kg' | 'lb'): Dose => ({
      ...dose,
      load: {
        kind: 'weight',
        unit,
        perSet: schemeLoads(top, percents).map((one) => ownedNear(one, owned)),
      },
    });
    if (load.kind === 'percent') {
      const told = lifted(dose, sessions);
      return told
        ? {
            kind: 'dose',
            dose: scheme(ownedNear(told.maximum, owned), told.unit),
            measure: 'load',
            why: `${told.reps} repetitions with ${told.amount} ${told.unit} predict a ten-rep maximum of ${told.maximum} ${told.unit}: ${percents.join(', ')} % of it in weights.`,
          }
        : {
            kind: 'ask',
            what: 'ten-rep maximum',
            why: 'The percents stay, the load grows: the ten-rep maximum is asked for.',
          };
    }
    const found = estimated(dose, load, sessions);
    const { unit } = load;
    if (!found) return { kind: 'ask', what: 'repetitions', why: 'How many in the heaviest set?' };
    const { top, reps, maximum } = found;
    const say = `${reps} repetitions could be done with ${top} ${unit}: the ten-rep maximum is estimated anew at ${maximum} ${unit}`;
    if (maximum < top * (1 + REAL_STEP))
      return {
        kind: 'ask',
        what: 'ten-rep maximum',
        why: `Ten with ${top} ${unit}, and nothing in reserve was told: how many more could be done?`,
      };
    const fitting = owned.filter(
      (one) => one >= top * (1 + REAL_STEP) - 1e-9 && one <= maximum + 1e-9,
    );
    const to = owned.length === 0 ? maximum : fitting.length > 0 ? Math.max(...fitting) : null;
    if (to === null) {
      const needs = `${say}; it needs a ${maximum} ${unit} weight.`;
      const beyond = owned.filter((one) => one > maximum).sort((a, b) => a - b)[0];
      return beyond === undefined
        ? { kind: 'stays', why: needs }
        : {
            kind: 'choose',
            why: needs,
            choices: [
              {
                dose: scheme(beyond, unit),
                say: `Take ${beyond} ${unit} at the top, beyond the estimated ${maximum} ${unit}.`,
              },
            ],
          };
    }
    const after = scheme(to, unit);
    return {
      kind: 'dose',
      dose: after,
      measure: 'load',
      why: `${say}. ${percents.join(', ')} % of ${to} ${unit}${rounding(to, percents, owned, unit)}`,
    };
  };
}

/** What rounding to the weights there are did, where it did anything. */
function rounding(
  top: number,
  percents: readonly number[],
  owned: readonly number[],
  unit: string,
): string {
  const off = schemeLoads(top, percents).flatMap((wanted) => {
    const there = ownedNear(wanted, owned);
    return owned.length > 0 && Math.abs(there - wanted) > 1e-9
      ? [`${wanted} ${unit} would fit, ${there} ${unit} is there`]
      : [];
  });
  return off.length > 0 ? `; ${off.join('; ')}.` : '.';
}

/** What both schemes have in common: ten at the top, the load taken off first. */
const SHARED = {
  ready: tenAtTheTop,
  back: ['load', 'effort', 'days', 'times'],
} as const satisfies Partial<SchoolRule>;

export const ASCENDING: SchoolRule = {
  ...SCHOOLS.ascending,
  ...SHARED,
  next: nextOf(ASCENDING_PERCENT),
};

export const DESCENDING_LOAD: SchoolRule = {
  ...SCHOOLS['descending-load'],
  ...SHARED,
  next: nextOf(DESCENDING_PERCENT),
};
