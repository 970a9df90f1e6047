import { type Dose, holdOf, isUntilFormFails, setsOf } from '../dose';
import type { SchoolId } from '../exercise';
import { ADJUSTABLE_PERCENT, nextWorkingLoad, roundLoad, schemeLoads } from '../load';
import type { SessionLog } from './session-log';

/** What a school asks of a good session before it grows; `say` names the number that is missing. */
export type Readiness = { readonly ready: boolean; readonly say: string };

const READY: Readiness = { ready: true, say: '' };
const not = (say: string): Readiness => ({ ready: false, say });

/** What each school reads in a session beyond "done in full". Common practice, no source. */
export const READINESS: Readonly<Record<SchoolId, (dose: Dose, log: SessionLog) => Readiness>> = {
  lengthen: longHeld,
  climb: () => READY,
  'volume-load': allSetsFull,
  ascending: everySetDone,
  'descending-load': everySetDone,
  // Its fourth set decides after every session: `adjustedDose`.
  adjustable: () => READY,
  'descending-sets': (dose, log) => both(everySetDone(dose, log), longHeld(dose, log)),
  barriers: longHeld,
  angles: () => READY,
  'pain-relief': longHeld,
  repeated: () => READY,
};

function both(first: Readiness, second: Readiness): Readiness {
  return first.ready ? second : first;
}

/** A timed hold ends within a frame or two of its second. */
const SLACK = 0.98;

function longHeld(dose: Dose, { hold }: SessionLog): Readiness {
  const asked = holdOf(dose);
  if (!asked || hold === null || hold >= asked.least * SLACK) return READY;
  return not(`held ${hold} s of ${asked.least} s`);
}

/** Every set reached the most that is written: 15 of 10–15, 7 of 5–7. */
function allSetsFull(dose: Dose, { sets }: SessionLog): Readiness {
  const { head } = dose;
  if (head.kind !== 'sets') return READY;
  if (sets.length < head.sets.least) return not(`${sets.length} of ${head.sets.least} sets`);
  const poorest = Math.min(...sets);
  return poorest >= head.reps.most
    ? READY
    : not(`${poorest} of ${head.reps.most} in the poorest set`);
}

function everySetDone({ head }: Dose, { sets }: SessionLog): Readiness {
  const asked = setsOf(head).least;
  return sets.length >= asked ? READY : not(`${sets.length} of ${asked} sets`);
}

/**
 * The daily adjustable scheme's next dose (after Knight 1979; memory): half, three quarters and the
 * whole of the working load that the fourth set's repetitions ask for, by the middle of the table's
 * range, rounded to what is owned. Where the weight of the fourth set was noted, it goes from there.
 *
 * @returns null for a dose without weights, or a session whose fourth set was not done, or not counted
 *   where it is done until form fails
 */
export function adjustedDose(
  dose: Dose,
  log: SessionLog,
  owned: readonly number[],
): { dose: Dose; reps: number; from: number; to: number } | null {
  const { load } = dose;
  if (load?.kind !== 'weight') return null;
  const told = log.counted?.find(({ set }) => set === 4);
  // Until form fails is what was counted; what a clock played on says nothing.
  const reps = isUntilFormFails(dose.head, 3) ? (told?.reps ?? null) : (log.sets[3] ?? null);
  const lifted = told?.load?.unit === load.unit ? told.load.amount : load.perSet[2];
  if (typeof lifted !== 'number' || reps === null) return null;
  const from = lifted;
  const { least, most } = nextWorkingLoad(reps, from, load.unit);
  const wanted = Math.round(((least + most) / 2) * 10) / 10;
  const to = owned.length > 0 ? (roundLoad(wanted, owned).load ?? wanted) : wanted;
  const perSet = [...schemeLoads(to, ADJUSTABLE_PERCENT), 'adj' as const];
  return { dose: { ...dose, load: { ...load, perSet } }, reps, from, to };
}
